/** A file that takes a while to make: fetched, then handed to whoever asked as a download. */
export async function download(address: string, otherwise: string): Promise<boolean> {
	const got = await fetch(address);
	if (!got.ok) return false;
	const link = document.createElement('a');
	link.href = URL.createObjectURL(await got.blob());
	link.download = /filename="([^"]+)"/.exec(got.headers.get('content-disposition') ?? '')?.[1] ?? otherwise;
	link.click();
	setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
	return true;
}
