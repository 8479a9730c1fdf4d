/** A JSON document while it is being filled in. */
export type Draft = { [key: string]: unknown };

const STEP = /[^.[\]]+/g;

/** The value at a path such as `cavities[0].measure.filledG`; undefined where there is none. */
export function getAt(draft: unknown, path: string): unknown {
  return (path.match(STEP) ?? []).reduce<unknown>(
    (value, step) =>
      typeof value === "object" && value !== null ? (value as Draft)[step] : undefined,
    draft,
  );
}

/**
 * The same document with another value at a path. What is unknown is left out, and so is a part
 * that has become empty; lists keep their places.
 */
export function setAt<T>(draft: T, path: string, value: unknown): T {
  return put(draft, path.match(STEP) ?? [], value) as T;
}

function put(at: unknown, steps: string[], value: unknown): unknown {
  const [step, ...rest] = steps;
  if (step === undefined) {
    return value;
  }
  if (Array.isArray(at)) {
    return at.map((each: unknown, i) => (String(i) === step ? put(each, rest, value) : each));
  }
  const object = typeof at === "object" && at !== null ? (at as Draft) : {};
  const next = put(object[step], rest, value);
  const others = Object.fromEntries(Object.entries(object).filter(([key]) => key !== step));
  const empty =
    next === undefined ||
    next === null ||
    next === "" ||
    (rest.length > 0 &&
      typeof next === "object" &&
      !Array.isArray(next) &&
      Object.keys(next).length === 0);
  return empty ? others : { ...others, [step]: next };
}

/** A document without one of its fields: what is unknown is left out, never written as nothing. */
export function leftOut<T extends object, K extends keyof T>(document: T, field: K): Omit<T, K> {
  return Object.fromEntries(Object.entries(document).filter(([key]) => key !== field)) as Omit<
    T,
    K
  >;
}
