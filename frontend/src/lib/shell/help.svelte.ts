/** Whether the list of keys and marks is open. */
class Help {
	open = $state(false);
	show = () => (this.open = true);
}
export const help = new Help();
