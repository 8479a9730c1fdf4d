import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useRef, useState } from "react";
import { ask, type Mould, type Trouble } from "../api/client";
import { Sheet } from "../frame/Sheet";
import { Told } from "../frame/Told";

const LONGER_SIDE = 1400;

/** A picture of the mould: made small here, stripped of what cameras write into it by the server. */
export function Photo({ mould, has }: { mould: Mould; has: boolean }) {
  const [there, setThere] = useState(has);
  const [version, setVersion] = useState(0);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const address = `/api/moulds/${encodeURIComponent(mould.id)}/photo`;
  const send = async (method: "PUT" | "DELETE", body?: Blob) => {
    const answer = await ask<undefined>(
      fetch(address, {
        method,
        ...(body ? { body, headers: { "content-type": body.type } } : {}),
      }).then(async (response) =>
        response.ok ? { response } : { error: (await response.json()) as unknown, response },
      ),
    );
    if (answer.status === "ok") {
      setTrouble(null);
      setThere(method === "PUT");
      setVersion(version + 1);
    } else {
      setTrouble(answer.trouble);
    }
  };
  const take = async (file: File) => {
    try {
      await send("PUT", await smaller(file));
    } catch {
      setTrouble({
        title: "No picture",
        detail: "This is no picture that can be read: JPEG or PNG, please.",
        status: 0,
        errors: [],
      });
    }
  };
  return (
    <Sheet
      title="Picture"
      aside={
        <>
          <Button onClick={() => input.current?.click()} sx={{ minHeight: 32, py: 0 }}>
            {there ? "Another one…" : "Choose a picture…"}
          </Button>
          {there && (
            <Button onClick={() => void send("DELETE")} sx={{ minHeight: 32, py: 0 }}>
              Remove
            </Button>
          )}
        </>
      }
    >
      <input
        ref={input}
        type="file"
        accept="image/jpeg,image/png"
        hidden
        aria-label="Picture of the mould"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = "";
          if (file) {
            void take(file);
          }
        }}
      />
      {trouble && <Told trouble={trouble} />}
      {there ? (
        <Box
          component="img"
          src={`${address}?v=${version}`}
          alt={`The mould ${mould.name}`}
          sx={{ maxWidth: "100%", maxHeight: 260, borderRadius: 1 }}
        />
      ) : (
        <Box sx={{ color: "text.secondary" }}>
          It stays on this machine, made small, without place and camera data.
        </Box>
      )}
    </Sheet>
  );
}

/** A large picture made small before it is sent, the right way up. */
async function smaller(file: File): Promise<Blob> {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LONGER_SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error())), "image/jpeg", 0.9),
  );
}
