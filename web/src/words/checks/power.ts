import { advice, fixes } from "../../fixes/fix.ts";
import { moreSpareCells } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

export const powerWords = checkWords({
  "battery-flat": {
    mark: "battery",
    station: "power",
    sentence: (check, say) =>
      `Your batteries run flat on ${say.date(check.day)}, ${check.short < 1 ? "less than 1 Wh" : `${say.number(check.short)} Wh`} short of the next socket.`,
    fixes: () => [advice("Carry a larger power bank on this leg, or use your devices less.")],
  },
  "battery-low": {
    mark: "battery",
    station: "power",
    sentence: (check, say) => `The batteries fall to ${say.percent(check.have)} on ${say.date(check.day)}.`,
    fixes: () => [advice("Use your devices less, or carry a larger power bank on this leg.")],
  },
  "spare-cells-short": {
    mark: "battery",
    station: "power",
    sentence: (check) =>
      `“${check.device}” needs ${check.limit === 1 ? "1 spare set" : `${check.limit} spare sets`} of batteries on this leg; you have ${check.have}.`,
    fixes: (check, on) => fixes(moreSpareCells(on, check.deviceId, check.limit)),
  },
});
