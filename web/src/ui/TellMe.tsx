import Button from "@mui/material/Button";
import { useState } from "react";
import { keepReminders, reminds } from "./reminds";

/** Asks the browser to say when something is due, while this is open in one of its windows. */
export function TellMe() {
  const [on, setOn] = useState(reminds());
  if (!("Notification" in window)) {
    return null;
  }
  const denied = Notification.permission === "denied";
  const ask = async () => {
    const allowed = on ? false : (await Notification.requestPermission()) === "granted";
    keepReminders(allowed);
    setOn(allowed);
  };
  return (
    <Button
      variant="outlined"
      disabled={denied}
      aria-pressed={on}
      onClick={() => void ask()}
      title={denied ? "Your browser does not allow it for this page." : undefined}
    >
      {on ? "Do not tell me" : "Tell me when something is due"}
    </Button>
  );
}
