import { useSyncExternalStore } from "react";

const KEY = "calm-pour.reminds";

const watched = new Set<() => void>();

function watch(changed: () => void) {
  watched.add(changed);
  return () => watched.delete(changed);
}

function reminds(): boolean {
  return (
    localStorage.getItem(KEY) === "true" &&
    "Notification" in window &&
    Notification.permission === "granted"
  );
}

/** Whether this browser says when something is due, from the moment that it is told to. */
export function useReminds(): boolean {
  return useSyncExternalStore(watch, reminds);
}

export function keepReminders(on: boolean) {
  localStorage.setItem(KEY, String(on));
  watched.forEach((changed) => changed());
}
