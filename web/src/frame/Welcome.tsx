import { useSettings, welcome } from "../store/settings.ts";

/** On the first visit: that the trail is made up, and how to begin with one's own. */
export function Welcome() {
  const welcomed = useSettings((state) => state.welcomed);
  if (welcomed) return null;
  return (
    <section
      className="flex flex-wrap items-center gap-3 border-b border-rule bg-pine-wash px-[18px] py-2 text-sm"
      aria-label="Welcome"
      data-chrome
    >
      <p className="m-0 flex-1">
        <b>This trail is made up.</b> Click a leg to see what its pack weighs and why; change a figure in Kit or Trip
        and everything follows.
      </p>
      <a className="btn btn-strong no-underline" href="/begin/" data-astro-reload>
        Begin an own trip
      </a>
      <button className="btn" onClick={welcome}>
        Look around the demo
      </button>
    </section>
  );
}
