import Box from "@mui/material/Box";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import TextField from "@mui/material/TextField";

export function Row({ children }: { children: React.ReactNode }) {
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "repeat(2, minmax(0, 1fr))" },
        columnGap: 2.5,
        rowGap: 0.25,
      }}
    >
      {children}
    </Box>
  );
}

export function Choice({
  label,
  value,
  options,
  error,
  disabled = false,
  onChange,
}: {
  label: string;
  value: string;
  disabled?: boolean;
  options: [string, string][];
  error: string | undefined;
  onChange: (value: string) => void;
}) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      disabled={disabled}
      error={Boolean(error)}
      helperText={error}
      onChange={(e) => onChange(e.target.value)}
      slotProps={{ select: { displayEmpty: true } }}
      sx={{ mt: 0.75 }}
    >
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

export function Slid({
  label,
  value,
  min,
  max,
  step,
  text,
  error,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  text: string;
  error: string | undefined;
  onChange: (value: number) => void;
}) {
  return (
    <Box>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1, mb: "-6px" }}>
        <span>{label}</span>
        <Box component="b" sx={{ ml: "auto", fontSize: "1.1rem" }}>
          {text}
        </Box>
      </Box>
      <Slider
        aria-label={label}
        aria-valuetext={text}
        {...{ value, min, max, step }}
        onChange={(_, next) => onChange(next as number)}
        sx={{ py: "11px", mb: "-2px", "& .MuiSlider-thumb": { width: 24, height: 24 } }}
      />
      {error && (
        <Box role="alert" sx={{ color: "error.main", fontSize: "0.87rem" }}>
          {error}
        </Box>
      )}
    </Box>
  );
}
