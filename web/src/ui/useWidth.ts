import { useEffect, useState } from "react";

/** Width of the page's content in pixels, the scroll bar not counted; follows resizing. */
export function useWidth(): number {
  const [width, setWidth] = useState(() => document.documentElement.clientWidth);
  useEffect(() => {
    const observer = new ResizeObserver(() => setWidth(document.documentElement.clientWidth));
    observer.observe(document.documentElement);
    return () => observer.disconnect();
  }, []);
  return width;
}
