import Button from "@mui/material/Button";
import { Empty } from "./Told";

/** An address that leads nowhere. */
export function Astray() {
  return (
    <Empty title="There is nothing at this address">
      <p>Perhaps it was copied without its end, or what stood here is removed.</p>
      <Button variant="contained" href="/plan">
        To the plan
      </Button>
    </Empty>
  );
}

/** A screen that broke, or did not come. What was entered is kept in this browser. */
export function Broken() {
  return (
    <Empty title="This screen did not load">
      <p>Is Calm Pour still running on this machine? What you entered is kept in this browser.</p>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Try again
      </Button>
    </Empty>
  );
}
