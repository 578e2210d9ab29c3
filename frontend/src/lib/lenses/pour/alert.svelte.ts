/** Says out loud when an act falls due: a tone, a tremble, and the screen kept awake. Only where a person turned it on. */
const KEY = 'pour-aloud';

function restored(): boolean {
	try {
		return localStorage.getItem(KEY) === 'on';
	} catch {
		return false;
	}
}
/** Whether a key is due and was not told yet; it is told from now on. */
export function falls(told: Set<string>, key: string, due: boolean): boolean {
	if (!due || told.has(key)) return false;
	told.add(key);
	return true;
}
export class Aloud {
	on = $state(restored());
	readonly #told = new Set<string>();
	#lock: WakeLockSentinel | null = null;
	#sound: AudioContext | null = null;
	readonly #seen = () => void this.#awake();

	/** The press that allows it is what a browser asks for before it makes a sound. */
	async turn(on: boolean) {
		this.on = on;
		try {
			localStorage.setItem(KEY, on ? 'on' : 'off');
		} catch {
			/* then it lasts for this page */
		}
		if (on) this.#tone();
		await this.#awake();
	}
	start() {
		document.addEventListener('visibilitychange', this.#seen);
		void this.#awake();
	}
	leave() {
		document.removeEventListener('visibilitychange', this.#seen);
		void this.#lock?.release().catch(() => undefined);
		void this.#sound?.close().catch(() => undefined);
		[this.#lock, this.#sound] = [null, null];
	}
	/** An act and whether it is due: told once. */
	act(key: string, due: boolean) {
		if (!this.on || !falls(this.#told, key, due)) return;
		this.#tone();
		navigator.vibrate?.([300, 120, 300]);
	}
	async #awake() {
		try {
			if (this.on && document.visibilityState === 'visible') this.#lock = (await navigator.wakeLock?.request('screen')) ?? null;
			else if (!this.on) await this.#lock?.release();
		} catch {
			/* the device does not allow it */
		}
	}
	#tone() {
		try {
			const own = (this.#sound ??= new AudioContext());
			const [voice, loud] = [own.createOscillator(), own.createGain()];
			voice.frequency.value = 880;
			loud.gain.setValueAtTime(0.4, own.currentTime);
			loud.gain.exponentialRampToValueAtTime(0.001, own.currentTime + 0.7);
			voice.connect(loud).connect(own.destination);
			voice.start();
			voice.stop(own.currentTime + 0.7);
		} catch {
			/* no sound here */
		}
	}
}
