/* The fields of the rubric sheet, by their names: what each says, and what it said when it was last saved. */
export const sheet = () => document.getElementById('sheet');
export const placeOf = (name) => name.replaceAll(']', '').split('[').join('.');
export const fieldNamed = (name) => sheet()?.querySelector(`[name="${CSS.escape(name)}"]:not([type=hidden])`) ?? null;
export const isSwitch = (field) => field.type === 'checkbox';
export const valueOf = (field) => (isSwitch(field) ? (field.checked ? '1' : '') : field.value);
export const savedValueOf = (field) => {
    if (isSwitch(field)) {
        return field.defaultChecked ? '1' : '';
    }
    return field.tagName === 'SELECT' ? [...field.options].find((option) => option.defaultSelected)?.value ?? '' : field.defaultValue;
};
export const setSaved = (field, value) => {
    if (isSwitch(field)) {
        field.defaultChecked = value !== '';
    } else if (field.tagName === 'SELECT') {
        [...field.options].forEach((option) => { option.defaultSelected = option.value === value; });
    } else {
        field.defaultValue = value;
    }
};
export const setValue = (field, value) => {
    if (isSwitch(field)) {
        field.checked = value !== '';
    } else {
        field.value = value;
    }
};
export const isText = (field) => field?.matches('textarea, input:not([type=checkbox])') === true;
