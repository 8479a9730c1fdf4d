/** Who works at this screen; the browser keeps it, and every line told here says so. */
const KEY = "calm-pour.who";

export const NAME_LENGTH = 80;

/** Null where nobody said. */
export function whoWorks(): string | null {
  try {
    const name = localStorage.getItem(KEY)?.trim() ?? "";
    return name === "" ? null : name;
  } catch {
    return null;
  }
}

export function keepWhoWorks(name: string): void {
  try {
    localStorage.setItem(KEY, name.trim().slice(0, NAME_LENGTH));
  } catch {
    // Without a store nobody is named.
  }
}
