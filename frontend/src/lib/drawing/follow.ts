/** Follow a pressed pointer until it is let go, or taken away. */
export function follow(target: EventTarget, move: (event: PointerEvent) => void, end: () => unknown): void {
	const on = (event: Event) => move(event as PointerEvent);
	const off = () => {
		target.removeEventListener('pointermove', on);
		for (const last of ['pointerup', 'pointercancel']) target.removeEventListener(last, off);
		void end();
	};
	target.addEventListener('pointermove', on);
	for (const last of ['pointerup', 'pointercancel']) target.addEventListener(last, off);
}
