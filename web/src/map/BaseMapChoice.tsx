/** A base map of the hiker's own under the trail: opened from a file, kept on the device, taken away again. */
import { useEffect, useRef, useState, type RefObject } from "react";
import { forgetBaseMap, keepBaseMap, keptBaseMap } from "../data/baseMap.ts";
import { report, sentenceOf, tell } from "../store/notices.ts";
import { useThemeName } from "../ui/useThemeName.ts";
import { openBaseMap } from "./baseMap.ts";
import { coloursOf } from "./colours.ts";
import type { Drawing } from "./drawing.ts";

interface Props {
  drawing: Drawing | undefined;
  target: RefObject<HTMLDivElement | null>;
}

export function BaseMapChoice({ drawing, target }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const [attribution, setAttribution] = useState("");
  const theme = useThemeName();
  useEffect(() => {
    keptBaseMap().then(setFile).catch(report);
  }, []);
  useEffect(() => {
    if (!drawing || !target.current || !file) return;
    let stale = false;
    openBaseMap(file, coloursOf(target.current))
      .then((base) => {
        if (stale) return;
        drawing.setBase(base.layer);
        setAttribution(base.attribution);
      })
      .catch(report);
    return () => {
      stale = true;
      drawing.setBase(undefined);
    };
  }, [drawing, target, file, theme]);
  const open = async (chosen: File): Promise<void> => {
    try {
      // Tried before it is kept.
      await openBaseMap(chosen, coloursOf(document.body));
    } catch (error) {
      return tell("failed", `${chosen.name} can’t be used as a base map.`, sentenceOf(error));
    }
    setFile(chosen);
    await keepBaseMap(chosen).catch((error: unknown) =>
      tell("failed", `${chosen.name} is shown for now but isn’t saved on this device.`, sentenceOf(error)),
    );
  };
  return (
    <span className="flex flex-wrap items-center gap-2">
      {file ? (
        <>
          <span>
            Base map: {file.name}
            {attribution !== "" && <span className="text-muted">, {attribution}</span>}
          </span>
          <button
            className="btn"
            onClick={() => {
              setFile(undefined);
              setAttribution("");
              forgetBaseMap().catch(report);
            }}
          >
            Remove base map
          </button>
        </>
      ) : (
        <>
          <button className="btn" onClick={() => input.current?.click()}>
            Add a base map file
          </button>
          <span className="text-xs text-muted">PMTiles file; it stays on this device and nothing is downloaded.</span>
        </>
      )}
      <input
        ref={input}
        type="file"
        accept=".pmtiles"
        className="sr-only"
        tabIndex={-1}
        aria-label="Base map file"
        data-testid="base-map-file"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = "";
          if (chosen) void open(chosen);
        }}
      />
    </span>
  );
}
