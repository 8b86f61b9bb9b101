/* Makes an element: its properties, its attributes (those with a dash), what happens on it (on…), and what stands in it. */
export function make(tag, properties = {}, ...children) {
    const element = document.createElement(tag);
    for (const [name, value] of Object.entries(properties)) {
        if (name.startsWith('on')) {
            element.addEventListener(name.slice(2).toLowerCase(), value);
        } else if (name === 'role' || name.includes('-')) {
            element.setAttribute(name, value);
        } else {
            element[name] = value;
        }
    }
    element.append(...children);
    return element;
}
