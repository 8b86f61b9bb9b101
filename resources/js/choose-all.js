/* A box that ticks or unticks the others of its form, and shows whether all, some or none of them are. */

/** What the box shows for so many ticked of so many. */
export const shows = (ticked, all) => ({ checked: all > 0 && ticked === all, indeterminate: ticked > 0 && ticked < all });

export function startChoosingAll(box) {
    const others = () => [...box.form.querySelectorAll(`input[type=checkbox][name="${box.dataset.choosesAll}"]`)];
    const show = () => Object.assign(box, shows(others().filter((one) => one.checked).length, others().length));
    box.hidden = false;
    box.addEventListener('change', () => {
        others().forEach((one) => { one.checked = box.checked; });
        show();
    });
    box.form.addEventListener('change', show);
    show();
}
