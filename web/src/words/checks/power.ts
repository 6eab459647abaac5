import { advice, mends } from "../../mends/mend.ts";
import { moreSpareCells } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const powerWords = checkWords({
  "battery-flat": {
    mark: "battery",
    station: "power",
    sentence: (check, say) =>
      `The batteries are flat on ${say.date(check.day)}: ${
        check.short < 1 ? "less than 1 Wh is" : `${say.number(check.short)} Wh are`
      } missing until the next socket.`,
    mends: () => [advice("Carry a larger bank on this leg, or use the devices less.")],
  },
  "battery-low": {
    mark: "battery",
    station: "power",
    sentence: (check, say) => `The batteries fall to ${say.percent(check.have)} on ${say.date(check.day)}.`,
    mends: () => [advice("Use the devices less, or carry a larger bank on this leg.")],
  },
  "spare-cells-short": {
    mark: "battery",
    station: "power",
    sentence: (check) =>
      `“${check.device}” wants ${check.limit === 1 ? "1 spare set" : `${check.limit} spare sets`} on this leg and has ${check.have}.`,
    mends: (check, on) => mends(moreSpareCells(on, check.deviceId, check.limit)),
  },
});
