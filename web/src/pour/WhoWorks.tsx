import Autocomplete from "@mui/material/Autocomplete";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { useHandsOf } from "../api/queries";
import { keepWhoWorks, NAME_LENGTH, whoWorks } from "./whoWorks";

/** Who works at this screen, so that hands are told apart; nobody has to say. */
export function WhoWorks() {
  const [name, setName] = useState(whoWorks() ?? "");
  const known = useHandsOf().data ?? [];
  return (
    <Autocomplete
      freeSolo
      options={known}
      inputValue={name}
      onInputChange={(_, to) => {
        setName(to);
        keepWhoWorks(to);
      }}
      sx={{ maxWidth: 360, mb: 1 }}
      renderInput={(params) => (
        <TextField
          {...params}
          label="Who works at this screen?"
          placeholder="nobody in particular"
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, maxLength: NAME_LENGTH },
            inputLabel: { ...params.slotProps.inputLabel, shrink: true },
          }}
        />
      )}
    />
  );
}
