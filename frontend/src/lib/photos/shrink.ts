/** A picture made small enough to keep and to send from a field: no side over 2,000 points, and nothing but the picture in it. */
export const LONGEST_PX = 2000;
export const MOST_BYTES = 40_000_000;
const QUALITY = 0.85;

/** What it comes down to, no side over the longest. */
export function fitted(width: number, height: number, longest = LONGEST_PX): { width: number; height: number } {
	const by = Math.min(1, longest / Math.max(width, height, 1));
	return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) };
}
/** As a JPEG; null for what is no picture. */
export async function shrunk(file: Blob): Promise<Blob | null> {
	let opened: ImageBitmap;
	try {
		opened = await createImageBitmap(file);
	} catch {
		return null;
	}
	const { width, height } = fitted(opened.width, opened.height);
	const canvas = document.createElement('canvas');
	[canvas.width, canvas.height] = [width, height];
	canvas.getContext('2d')?.drawImage(opened, 0, 0, width, height);
	opened.close();
	return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
}
export interface Place {
	latitude_deg: number;
	longitude_deg: number;
}
/** Where a picture says that it was taken; null where it says nothing that can be read. */
export async function placeOf(file: Blob): Promise<Place | null> {
	try {
		const { default: reader } = await import('exifreader');
		const { gps } = reader.load(await file.arrayBuffer(), { expanded: true });
		const [latitude, longitude] = [gps?.Latitude, gps?.Longitude];
		if (latitude === undefined || longitude === undefined) return null;
		if (!(Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180)) return null;
		return { latitude_deg: latitude, longitude_deg: longitude };
	} catch {
		return null;
	}
}
