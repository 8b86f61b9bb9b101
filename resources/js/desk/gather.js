/* Comments on criteria, gathered into the general one; what stands there already is not put there twice. */

/**
 * @param {string} general what stands there
 * @param {Array<[string, string]>} comments titles of criteria and what was written on them
 * @returns {string|null} null when there is nothing new
 */
export function gathered(general, comments) {
    const lines = comments.filter(([, text]) => text.trim() !== '').map(([title, text]) => `**${title}**: ${text.trim()}`).filter((line) => !general.includes(line));
    return lines.length === 0 ? null : [general.trimEnd(), ...lines].filter(Boolean).join('\n\n');
}

export function offerGathering(desk, fields, titles, say) {
    desk.querySelector('[data-gather]')?.addEventListener('click', () => {
        const general = document.getElementById('general');
        const comments = fields.forms.filter((form) => titles[form.dataset.part]).map((form) => [titles[form.dataset.part], form.querySelector('textarea').value]);
        const text = gathered(general.value, comments);
        if (text === null) {
            say('There is no comment on a criterion that is not here yet.');
            return;
        }
        general.value = text;
        general.dispatchEvent(new Event('input', { bubbles: true }));
        general.focus();
    });
}
