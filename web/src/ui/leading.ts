const KEY = "calm-pour.first-evening";

/** Whether a first evening is being led through, in this browser. */
export function leads(): boolean {
  return localStorage.getItem(KEY) === "true";
}

export function keepLeading(on: boolean) {
  if (on) {
    localStorage.setItem(KEY, "true");
  } else {
    localStorage.removeItem(KEY);
  }
}
