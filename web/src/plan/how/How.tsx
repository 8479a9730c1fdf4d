import ButtonBase from "@mui/material/ButtonBase";
import { type ReactNode, useId, useState } from "react";
import { useAbout } from "../../api/asking";
import { later } from "../../ui/later";

const CameAbout = later(() => import("./CameAbout").then((m) => m.CameAbout));

/** A number that opens how it came about. */
export function Fig({
  of,
  children,
  what,
}: {
  of: string;
  children: ReactNode;
  /** What the number is, for those who do not see where it stands. */
  what: string;
}) {
  const id = useId();
  const { session, run } = useAbout();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // In a rehearsal nothing was weighed or read that could be opened.
  if (session === null && run === undefined) {
    return <>{children}</>;
  }
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        id={id}
        // What is written on it comes first, so that who says it reaches it.
        aria-labelledby={`${id} ${id}-what`}
        sx={{
          font: "inherit",
          color: "inherit",
          textAlign: "inherit",
          borderRadius: 0.5,
          px: 0.25,
          verticalAlign: "baseline",
          "&:hover, &:focus-visible": { textDecoration: "underline dotted 2px" },
        }}
      >
        {children}
      </ButtonBase>
      <span id={`${id}-what`} hidden>
        {`${what}: how it came about`}
      </span>
      {anchor && <CameAbout of={of} what={what} anchor={anchor} onClose={() => setAnchor(null)} />}
    </>
  );
}
