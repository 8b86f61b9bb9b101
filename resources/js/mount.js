/* A module is started on each element it is for: mount('[data-desk]', startDesk). Gives how many there were. */
export function mount(selector, start, within = document) {
    const found = [...within.querySelectorAll(selector)];
    found.forEach((element) => start(element));
    return found.length;
}
