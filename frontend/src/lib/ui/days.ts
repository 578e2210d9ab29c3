/** Days as the gate counts them: local ones, as text. */
const two = (n: number) => `${n}`.padStart(2, '0');
export const isoOf = (day: Date): string => `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
export const today = (): string => isoOf(new Date());
/** A day as a date at noon, so that no clock change moves it. */
export const dateOf = (iso: string): Date => new Date(`${iso.slice(0, 10)}T12:00:00`);
export const daysApart = (from: string, to: string): number =>
	Math.round((dateOf(to).getTime() - dateOf(from).getTime()) / 86_400_000);
export function plus(iso: string, days: number): string {
	const day = dateOf(iso);
	day.setDate(day.getDate() + days);
	return isoOf(day);
}
const NAMES = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const LONG = [
	'January',
	'February',
	'March',
	'April',
	'May',
	'June',
	'July',
	'August',
	'September',
	'October',
	'November',
	'December'
];
/** 'Thu 17 Jun' */
export function dayText(iso: string): string {
	const day = dateOf(iso);
	return `${NAMES[day.getDay()]} ${day.getDate()} ${MONTHS[day.getMonth()]}`;
}
/** 'Thu 17' */
export const shortDay = (iso: string): string => dayText(iso).split(' ').slice(0, 2).join(' ');
export const monthOf = (iso: string): string => LONG[dateOf(iso).getMonth()] ?? '';
export const letterOf = (weekday: number): string => 'MTWTFSS'[weekday] ?? '';
/** 'Thu 17 Jun 6:30', or the day alone */
export function whenText(iso: string): string {
	const clock = iso.length > 10 ? ` ${+iso.slice(11, 13)}:${iso.slice(14, 16)}` : '';
	return dayText(iso) + clock;
}
/** The time of day of a moment, as a crew says it: 5:52. */
export function clockText(iso: string | number): string {
	const at = new Date(iso);
	return `${at.getHours()}:${two(at.getMinutes())}`;
}
