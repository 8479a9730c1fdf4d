import { describe, expect, it } from "vitest";
import type { Session } from "../api/client";
import { begin, edit, redo, undo } from "./history";

const named = (name: string) => ({ name }) as Session;

describe("history", () => {
  it("goes back to where it began and forth again, whatever was edited", () => {
    let h = begin(named("a"));
    h = edit(h, named("b"), "name");
    h = edit(h, named("c"), null);
    expect(undo(h).now.name).toBe("b");
    expect(undo(undo(h)).now.name).toBe("a");
    expect(undo(undo(undo(h))).now.name).toBe("a");
    expect(redo(redo(undo(undo(h)))).now.name).toBe("c");
  });

  it("takes typing in one field as one step", () => {
    let h = begin(named(""));
    for (const text of ["k", "kn", "kno", "knob"]) {
      h = edit(h, named(text), "name");
    }
    expect(undo(h).now.name).toBe("");
  });

  it("forgets the way forth once something new is done", () => {
    const h = edit(undo(edit(begin(named("a")), named("b"), "x")), named("c"), "y");
    expect(redo(h).now.name).toBe("c");
  });
});
