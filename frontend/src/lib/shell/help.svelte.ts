/** Whether the list of keys and marks is open, and whether anybody has asked for it yet. */
class Help {
	open = $state(false);
	asked = $state(false);
	show = () => {
		this.asked = true;
		this.open = true;
	};
}
export const help = new Help();
