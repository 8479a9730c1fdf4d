import { describe, expect, it } from "vitest";
import { dueText, mornings, nextMorning } from "./moments";

const LONDON = "Europe/London";
const utc = (text: string) => new Date(`${text}:00Z`);

describe("what nobody gets up for", () => {
  it("is said as the morning after the night it falls in", () => {
    expect(dueText("DEMOULD", utc("2026-11-29T01:16"), LONDON)).toBe("Sun 29 Nov, morning");
    expect(dueText("FINISH", utc("2026-11-28T23:40"), LONDON)).toBe("Sun 29 Nov, morning");
    expect(mornings(utc("2026-11-28T22:00"), LONDON)).toBe("Sun morning");
  });

  it("keeps its hour by day, and in the zone of the workshop", () => {
    expect(dueText("DEMOULD", utc("2026-11-29T07:00"), LONDON)).toBe("Sun 29 Nov, 07:00");
    expect(mornings(utc("2026-11-29T21:59"), LONDON)).toBeNull();
    expect(nextMorning(utc("2026-11-29T21:30"), "Europe/Berlin")).toEqual(utc("2026-11-30T06:30"));
  });

  it("keeps the hour of work that cannot wait", () => {
    expect(dueText("POUR", utc("2026-11-29T01:16"), LONDON)).toBe("Sun 29 Nov, 01:16");
  });

  it("is a day where pieces are ready to hand over", () => {
    expect(dueText("READY", utc("2026-12-06T14:00"), LONDON)).toBe("Sun 6 Dec");
    expect(dueText("READY", utc("2026-12-06T23:30"), LONDON)).toBe("Mon 7 Dec");
  });
});
