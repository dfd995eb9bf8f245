import { useLayoutEffect, useRef, useState } from "react";
import type { RefObject } from "react";

/**
 * How wide an element is laid out, px; what follows from it is drawn before the page is seen.
 *
 * @param before what it is taken for where nothing is laid out yet
 */
export function useWidth<E extends Element>(before: number): readonly [RefObject<E | null>, number] {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(before);
  useLayoutEffect(() => {
    const here = element.current;
    if (!here) return;
    const measure = () => {
      // On paper, and where the page is not laid out, there is nothing to measure.
      if (here.clientWidth > 0) setWidth(here.clientWidth);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(here);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}
