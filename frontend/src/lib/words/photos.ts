/** Words of photos. */
export const photos = {
	name: 'Photos',
	take: 'Photo',
	withPlace: 'with its place',
	placeTip: 'Off: where it was taken is dropped. On: it is kept with the next photos.',
	noPlace: 'Kept. That picture carried no place.',
	reading: 'Making it smaller…',
	tooLarge: (mb: number) => `That is ${mb} MB. A photo has under 40 MB.`,
	noPicture: 'That is no picture that this browser can open.',
	waiting: 'waits here',
	lost: 'The picture is not on this device and has not come to the program.',
	note: 'What to see on it',
	keepNote: 'Keep the note',
	strike: 'Strike it out',
	by: (who: string, when: string) => [who, when].filter(Boolean).join(', '),
	place: (latitude: number, longitude: number) => `Taken at ${latitude.toFixed(5)}, ${longitude.toFixed(5)}.`,
	see: (title: string, n: number) => `Photo ${n} of ${title}`
};
