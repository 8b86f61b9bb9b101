/*
 * How many words a comment still lacks of those asked for, below it while one writes. Words are counted as the server
 * counts them: letters and digits, with what joins them.
 */
const WORD = /[\p{L}\p{N}]+(?:['’\-][\p{L}\p{N}]+)*/gu;

export const countWords = (text) => text.match(WORD)?.length ?? 0;

/** What stands below a comment: how many words are missing, or nothing. */
export function missing(text, least) {
    const lacks = least - countWords(text);
    return lacks <= 0 ? '' : `${lacks} ${lacks === 1 ? 'word' : 'words'} more`;
}

export function startLeast(field) {
    const told = document.getElementById(field.getAttribute('aria-describedby'));
    const tell = () => { told.textContent = missing(field.value, Number(field.dataset.least)); };
    field.addEventListener('input', tell);
    tell();
}
