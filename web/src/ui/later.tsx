import { type ComponentType, lazy, Suspense } from "react";

/**
 * A part of a screen that comes when it is opened for the first time: what is seen at once is there
 * the sooner. The server is on this machine; nobody notices the moment it takes.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({ default: await load() })) as unknown as ComponentType<P>;
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}
