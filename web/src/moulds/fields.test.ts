import { expect, test } from "vitest";
import openapi from "../../../docs/openapi.json?raw";
import { makeFields } from "./fields";

/** As the contract has it: what nobody can fill in changes nothing that anybody makes. */
test("everything that can be known of how a mould is made has a field", () => {
  const contract = JSON.parse(openapi) as {
    components: { schemas: Record<string, { properties: Record<string, unknown> }> };
  };
  const known = Object.keys(contract.components.schemas["MouldMake"]?.properties ?? {});
  const fields = ["OPEN", "CLOSED", "BEZEL", "FLAT"].flatMap((opening) =>
    makeFields(opening).map((field) => field.path.replace("make.", "")),
  );
  expect(known.length).toBeGreaterThan(10);
  expect(known.filter((name) => !fields.includes(name))).toEqual([]);
});
