import { useSettings, welcome } from "../store/settings.ts";

/** On the first visit: that the trail is made up, and how to start with your own. */
export function Welcome() {
  const welcomed = useSettings((state) => state.welcomed);
  if (welcomed) return null;
  return (
    <section
      className="flex flex-wrap items-center gap-3 border-b border-rule bg-pine-wash px-[18px] py-2 text-sm"
      aria-label="Welcome"
      data-chrome
    >
      <p className="m-0 min-w-[280px] flex-1">
        <b>This trail is fictional.</b> Click a leg to see its pack weight and why. Change a figure in Kit or Setup and
        everything recalculates.
      </p>
      <a className="btn btn-strong no-underline" href="/begin/" data-astro-reload>
        Start your own trip
      </a>
      <button className="btn" onClick={welcome}>
        Explore the demo
      </button>
    </section>
  );
}
