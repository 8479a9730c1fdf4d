import type { ComponentProps, MouseEvent } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";

/** A link: within the product without loading the page anew, to a file of the server as it is. */
export function Going({ href = "", ...rest }: ComponentProps<"a">) {
  return isWithin(href) ? <Link to={href} {...rest} /> : <a href={href} {...rest} />;
}

function isWithin(href: string): boolean {
  return href.startsWith("/") && !href.startsWith("/api/");
}

/**
 * What a list does with clicks on the plain links in it: they lead on within the product, too. Of
 * hundreds that are drawn while somebody scrolls, each saves what a link of its own costs.
 */
export function useGoingOn(): (event: MouseEvent) => void {
  const navigate = useNavigate();
  return (event) => {
    const link = event.target instanceof Element ? event.target.closest("a") : null;
    const href = link?.getAttribute("href") ?? "";
    const elsewhere = event.metaKey || event.ctrlKey || event.shiftKey || event.altKey;
    if (!event.defaultPrevented && event.button === 0 && !elsewhere && isWithin(href)) {
      event.preventDefault();
      void navigate(href);
    }
  };
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
