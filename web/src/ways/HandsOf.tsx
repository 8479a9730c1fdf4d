import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { api, ask, type Hands, type Trouble } from "../api/client";
import { useHandsOf } from "../api/queries";
import { Told } from "../ui/Told";

/** Takes the speeds that evenings taught of one person; nothing where nobody told in their name. */
export function HandsOf({ onTake }: { onTake: (hands: Hands) => void }) {
  const people = useHandsOf().data ?? [];
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  if (people.length === 0) {
    return null;
  }
  const take = async (person: string) => {
    const answer = await ask(api.GET("/api/journal/hands/of", { params: { query: { person } } }));
    if (answer.status === "ok") {
      setTrouble(null);
      onTake(answer.value);
    } else {
      setTrouble(answer.trouble);
    }
  };
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", py: 0.75 }}>
      <span>As learned of</span>
      {people.map((person) => (
        <Button key={person} variant="outlined" onClick={() => void take(person)}>
          {person}
        </Button>
      ))}
      {trouble && <Told trouble={trouble} />}
    </Box>
  );
}
