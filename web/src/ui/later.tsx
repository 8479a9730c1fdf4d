import { type ComponentType, lazy, Suspense } from "react";

/** Until a part that could not be fetched is asked for again, ms. */
const AGAIN_MS = 2_000;

/** A server that is away for a moment takes no part of the screen away: it comes when the server does. */
async function fetched<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

/**
 * A part of a screen that comes when it is opened for the first time: what is seen at once is there
 * the sooner. The server is on this machine; nobody notices the moment it takes.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({
    default: await fetched(load),
  })) as unknown as ComponentType<P>;
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
