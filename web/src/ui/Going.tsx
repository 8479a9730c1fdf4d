import type { ComponentProps } from "react";
import { Link, useSearchParams } from "react-router";

/** A link: within the product without loading the page anew, to a file of the server as it is. */
export function Going({ href = "", ...rest }: ComponentProps<"a">) {
  const within = href.startsWith("/") && !href.startsWith("/api/");
  return within ? <Link to={href} {...rest} /> : <a href={href} {...rest} />;
}

/**
 * A part of what a screen shows that stands in its address, so that a reload or "back" finds it
 * again.
 *
 * @param back whether "back" takes the change away, as where something opened over the screen
 */
export function useAddressed(
  name: string,
  back = false,
): [string | null, (value: string | null) => void] {
  const [params, setParams] = useSearchParams();
  return [
    params.get(name),
    (value) =>
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          if (value === null) {
            next.delete(name);
          } else {
            next.set(name, value);
          }
          return next;
        },
        { replace: !back || value === null },
      ),
  ];
}
