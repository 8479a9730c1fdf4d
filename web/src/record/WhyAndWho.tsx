import TextField from "@mui/material/TextField";

const LONGEST_WHY = 300;
const LONGEST_WHO = 80;

/** What is wrong with a reason; empty for nothing. */
export function whyWrong(why: string, asked: boolean): string {
  return why.length > LONGEST_WHY
    ? `${why.length - LONGEST_WHY} letters too many; a line is enough.`
    : asked && why.trim() === ""
      ? "Say why, for whoever reads it later."
      : "";
}

interface Props {
  why: string;
  onWhy: (why: string) => void;
  who: string;
  onWho: (who: string) => void;
  /** Whether it was tried to keep it. */
  asked: boolean;
  placeholder: string;
}

/** Why a record is put right, and who says so. */
export function WhyAndWho({ why, onWhy, who, onWho, asked, placeholder }: Props) {
  const wrong = whyWrong(why, asked);
  return (
    <>
      <TextField
        label="Why"
        value={why}
        onChange={(e) => onWhy(e.target.value)}
        error={wrong !== ""}
        helperText={wrong}
        placeholder={placeholder}
      />
      <TextField
        label="Who says so"
        value={who}
        onChange={(e) => onWho(e.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_WHO } }}
      />
    </>
  );
}
