import Button from "@mui/material/Button";
import { keepReminders, useReminds } from "./reminds";

/** Asks the browser to say when something is due, while this is open in one of its windows. */
export function TellMe() {
  const on = useReminds();
  if (!("Notification" in window)) {
    return null;
  }
  const denied = Notification.permission === "denied";
  const ask = async () => {
    const allowed = on ? false : (await Notification.requestPermission()) === "granted";
    keepReminders(allowed);
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
