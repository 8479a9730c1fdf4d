import type { JournalPiece } from "../api/client";

const SIZE = 16;

/** How a piece came out, by shape: full for good, half for a second, crossed for lost, open for unseen. */
export function GradeMark({ grade }: { grade: JournalPiece["grade"] }) {
  return (
    <svg
      width={SIZE}
      height={SIZE}
      viewBox="0 0 16 16"
      aria-hidden="true"
      style={{ flex: "none", marginTop: 2 }}
    >
      <circle
        cx={8}
        cy={8}
        r={6}
        fill={grade === "GOOD" ? "currentColor" : "none"}
        stroke="currentColor"
        strokeWidth={1.6}
        strokeDasharray={grade === undefined ? "2 2" : undefined}
      />
      {grade === "SECOND" && <path d="M8 2A6 6 0 0 0 8 14Z" fill="currentColor" />}
      {grade === "LOST" && (
        <path d="M4.5 4.5 11.5 11.5M11.5 4.5 4.5 11.5" stroke="currentColor" strokeWidth={1.8} />
      )}
    </svg>
  );
}
