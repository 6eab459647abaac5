/** What a hiker eats on every day, of the menu that is in force. */
import { dayMenu, menuFigures, type DayMenu, type Menu, type Pantry, type Plan, type PlanResult } from "@gepack/core";

export interface DayFood {
  /** In the result's days. */
  index: number;
  date: string;
  legIndex: number;
  fromNode: number;
  toNode: number;
  needKcal: number;
  menuKcal: number;
  menu: Menu | undefined;
  /** The whole day of the menu, whatever of it is eaten in town. */
  whole: DayMenu | undefined;
  /** Shares of the whole day that come out of the bag. */
  breakfast: number;
  dinner: number;
}

export function foodDays(plan: Plan, { days }: PlanResult, who: number, pantry: Pantry): DayFood[] {
  const menus = new Map(plan.menus.map((menu) => [menu.id, { menu, figures: menuFigures(menu, pantry) }]));
  return days.map((day, index) => {
    const taken = day.menus[who];
    const known = taken && menus.get(taken.menuId);
    const needKcal = day.energyKcal[who]!;
    // The scale says what the day was scaled to.
    const { fixed, growing } = known?.figures.all ?? { fixed: undefined, growing: undefined };
    const menuKcal = taken && fixed && growing ? fixed.energyKcal + taken.scale * growing.energyKcal : 0;
    return {
      index,
      date: day.date,
      legIndex: day.legIndex,
      fromNode: day.fromNode,
      toNode: day.toNode,
      needKcal,
      menuKcal,
      menu: known?.menu,
      whole: known && dayMenu(known.figures, menuKcal),
      breakfast: taken?.breakfast ?? 0,
      dinner: taken?.dinner ?? 0,
    };
  });
}
