import Box from "@mui/material/Box";
import type { LookedBack } from "../api/client";

interface Props {
  title: string;
  tags: LookedBack["cupTags"];
}

/** Tags at their size, on paper alone, to be cut out. */
export function PrintedTags({ title, tags }: Props) {
  return tags.length === 0 ? null : (
    <Box
      component="section"
      aria-label={title}
      sx={{ display: "none", "@media print": { display: "block" } }}
    >
      <h2>{title}</h2>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: "3mm" }}>
        {tags.map((tag, i) => (
          <Box
            key={i}
            sx={{
              width: "62mm",
              minHeight: "29mm",
              border: "0.3mm dashed #777",
              p: "2mm",
              breakInside: "avoid",
              fontSize: "8pt",
              lineHeight: 1.25,
              overflowWrap: "anywhere",
            }}
          >
            {tag.code && (
              <Box sx={{ float: "right", ml: "1mm", textAlign: "center", fontSize: "7pt" }}>
                <img alt="" src={`/api/journal/codes/${tag.code}`} style={{ width: "14mm" }} />
                <div>{tag.code}</div>
              </Box>
            )}
            <Box sx={{ fontWeight: 700, fontSize: "11pt" }}>{tag.title}</Box>
            {tag.lines.map((line) => (
              <div key={line}>{line}</div>
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
