import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";

interface Props<T> {
  label: string;
  choices: readonly (readonly [T, string])[];
  chosen: T;
  onChoose: (choice: T) => void;
}

/** A few things of which one counts, beside each other. */
export function OneOf<T extends string | number | boolean>(props: Props<T>) {
  const { label, choices, chosen, onChoose } = props;
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, "@media print": { display: "none" } }}
    >
      {choices.map(([choice, words]) => (
        <ButtonBase
          key={String(choice)}
          onClick={() => onChoose(choice)}
          aria-pressed={choice === chosen}
          sx={{
            px: 1.25,
            minHeight: 34,
            fontFamily: "inherit",
            borderRadius: "10px",
            border: 1,
            borderColor: choice === chosen ? "primary.main" : "divider",
            color: choice === chosen ? "primary.main" : "text.secondary",
            fontSize: "0.93rem",
            fontWeight: choice === chosen ? 700 : 400,
          }}
        >
          {words}
        </ButtonBase>
      ))}
    </Box>
  );
}
