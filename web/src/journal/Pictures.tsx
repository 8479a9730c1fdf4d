import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ask, type Trouble } from "../api/client";
import { Told } from "../ui/Told";

interface Props {
  runId: string;
  piece: string;
  numbers: number[];
  /** The piece, as it is called. */
  name: string;
}

/** The pictures of a piece; one is taken away in two presses, for there is no way back. */
export function Pictures({ runId, piece, numbers, name }: Props) {
  const client = useQueryClient();
  const [asked, setAsked] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const remove = async (number: number) => {
    const answer = await ask(
      api.DELETE("/api/runs/{id}/pieces/{piece}/photos/{number}", {
        params: { path: { id: runId, piece, number } },
      }),
    );
    setTrouble(answer.status === "trouble" ? answer.trouble : null);
    setAsked(null);
    await client.invalidateQueries();
  };
  return (
    <>
      {numbers.map((n) => (
        <Box key={n}>
          <Box
            component="img"
            alt={`${name}, picture ${n}`}
            src={`/api/runs/${runId}/pieces/${piece}/photos/${n}`}
            sx={{ display: "block", maxWidth: 220, maxHeight: 220, borderRadius: 1 }}
          />
          <Box sx={{ "@media print": { display: "none" } }}>
            {asked === n ? (
              <>
                <Button color="error" onClick={() => void remove(n)}>
                  Remove picture {n} for good
                </Button>
                <Button onClick={() => setAsked(null)}>Keep it</Button>
              </>
            ) : (
              <Button onClick={() => setAsked(n)}>Remove picture {n}</Button>
            )}
          </Box>
        </Box>
      ))}
      {trouble && <Told trouble={trouble} />}
    </>
  );
}
