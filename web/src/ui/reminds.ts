const KEY = "calm-pour.reminds";

/** Whether this browser says when something is due. */
export function reminds(): boolean {
  return (
    localStorage.getItem(KEY) === "true" &&
    "Notification" in window &&
    Notification.permission === "granted"
  );
}

export function keepReminders(on: boolean) {
  localStorage.setItem(KEY, String(on));
}
