/** Figures and dates as screens write them. */

const numberFormat = new Intl.NumberFormat("en-GB");

/** 3,104 */
export function figure(value: number): string {
  return numberFormat.format(value);
}

/** "1 place", "4 places" */
export function count(value: number, one: string, many = `${one}s`): string {
  return `${figure(value)} ${value === 1 ? one : many}`;
}

const time = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" });

/** 10:42 */
export function clock(date: Date): string {
  return time.format(date);
}

/** "today 10:42", or a date. */
export function when(iso: string, now = new Date()): string {
  const date = new Date(iso);
  return date.toDateString() === now.toDateString() ? `today ${clock(date)}` : day.format(date);
}
