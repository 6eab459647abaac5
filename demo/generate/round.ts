/** Figures as somebody would write them down. */
export const tenth = (x: number): number => Math.round(x * 10) / 10;
export const hundredth = (x: number): number => Math.round(x * 100) / 100;
