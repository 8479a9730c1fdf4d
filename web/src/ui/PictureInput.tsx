import type { RefObject } from "react";

interface Props {
  input: RefObject<HTMLInputElement | null>;
  label: string;
  onTake: (file: File) => void;
}

/** Where a picture is chosen; a key beside it opens it. */
export function PictureInput({ input, label, onTake }: Props) {
  return (
    <input
      ref={input}
      type="file"
      accept="image/jpeg,image/png"
      hidden
      aria-label={label}
      onChange={(e) => {
        const file = e.target.files?.[0];
        e.target.value = "";
        if (file) {
          onTake(file);
        }
      }}
    />
  );
}
