import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useRef } from "react";
import type { Mould } from "../api/client";
import { PictureInput } from "../ui/PictureInput";
import { Sheet } from "../ui/Sheet";
import { Told } from "../ui/Told";
import { usePicture } from "../ui/usePicture";

/** A picture of the mould: made small here, stripped of what cameras write into it by the server. */
export function Photo({ mould, has }: { mould: Mould; has: boolean }) {
  const picture = usePicture(`/api/moulds/${encodeURIComponent(mould.id)}/photo`, has);
  const input = useRef<HTMLInputElement>(null);
  return (
    <Sheet
      title="Picture"
      aside={
        <>
          <Button onClick={() => input.current?.click()} sx={{ minHeight: 32, py: 0 }}>
            {picture.source ? "Another one…" : "Choose a picture…"}
          </Button>
          {picture.source && (
            <Button onClick={picture.remove} sx={{ minHeight: 32, py: 0 }}>
              Remove
            </Button>
          )}
        </>
      }
    >
      <PictureInput input={input} label="Picture of the mould" onTake={picture.take} />
      {picture.trouble && <Told trouble={picture.trouble} />}
      {picture.source ? (
        <Box
          component="img"
          src={picture.source}
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
