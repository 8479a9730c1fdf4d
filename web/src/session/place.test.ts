import { describe, expect, it } from "vitest";
import { inLine, ofBatch, ofCup, ofLine, ofPour, ofTask, readPlace } from "./place";

describe("addresses", () => {
  it("are read as they are written", () => {
    expect(readPlace(ofCup("1.2"))).toEqual({ of: "cup", id: "1.2" });
    expect(readPlace(ofPour("1.3.2.1"))).toEqual({ of: "pour", id: "1.3.2.1" });
    expect(readPlace(ofBatch(2))).toEqual({ of: "batch", number: 2 });
    expect(readPlace(ofTask("batch/1/STIR"))).toEqual({ of: "task", id: "batch/1/STIR" });
    expect(readPlace(ofLine(0))).toEqual({ of: "line", line: 1 });
    expect(readPlace("layer/2.3")).toEqual({ of: "layer", line: 2, layer: 3 });
    expect(readPlace("nonsense")).toEqual({ of: "plan" });
  });

  it("of a layer lie in its line", () => {
    expect(inLine("layer/2.1", 1)).toBe(true);
    expect(inLine(ofLine(1), 1)).toBe(true);
    expect(inLine("layer/2.1", 2)).toBe(false);
    expect(inLine("plan", 0)).toBe(false);
  });
});
