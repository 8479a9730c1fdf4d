import { expect, test } from "vitest";
import { sectionPaths } from "./sectionPath";

const cone = [
  { depthMm: 0, leftMm: -5, rightMm: 5, holeMm: 0 },
  { depthMm: 20, leftMm: -15, rightMm: 15, holeMm: 0 },
];

test("the rim is on top and the floor below, to scale", () => {
  const paths = sectionPaths(cone, 2);
  expect(paths.widthPx).toBe(60);
  expect(paths.depthPx).toBe(40);
  expect(paths.walls).toBe("M0.0 0.0L20.0 40.0L40.0 40.0L60.0 0.0");
  expect(paths.hole).toBe("");
});

test("heights may be drawn larger, and what stands in the middle is an outline of its own", () => {
  const ring = [
    { depthMm: 0, leftMm: -20, rightMm: 20, holeMm: 16 },
    { depthMm: 5, leftMm: -24, rightMm: 24, holeMm: 12 },
  ];
  const paths = sectionPaths(ring, 1, 3);
  expect(paths.depthPx).toBe(15);
  expect(paths.hole).toBe("M12.0 0.0L8.0 15.0L40.0 15.0L36.0 0.0Z");
});
