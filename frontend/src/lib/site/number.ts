/** The number as it is read out and typed: two threes. */
export const DIGITS = 6;
export const shownNumber = (digits: string) => (digits.length > 3 ? `${digits.slice(0, 3)} ${digits.slice(3)}` : digits);
export const typedDigits = (text: string) => text.replace(/\D/g, '').slice(0, DIGITS);
/** The token of a link, behind its #; '' where there is none. */
export const tokenOf = (hash: string) => /^#look=([\w-]{20,120})$/.exec(hash)?.[1] ?? '';
/** Where somebody goes after joining: a path of ours, the yard for anything else. */
export const afterJoin = (then: string | null) => (then && /^\/(job\/[\w-]+(\/[\w-]+)?)?(\?[\w=&.-]*)?$/.test(then) ? then : '/');
/** A square drawn by the laptop, as a picture. */
export const squareOf = (svg: string) => `data:image/svg+xml,${encodeURIComponent(svg)}`;
