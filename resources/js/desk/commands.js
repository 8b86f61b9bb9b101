import { isWriting } from '../keys.js';
import { sendJson } from '../request.js';

/*
 * The keys of the desk. Each command has a key that its person can change or switch off; none is one that browsers use,
 * and none acts while someone writes.
 */
export class Commands {
    #acts = {};

    constructor(keys, settings) {
        this.keys = keys;
        document.addEventListener('keydown', (event) => {
            // Escape leaves a field, so that the next key is a command again and no letter of a comment.
            if (event.key === 'Escape' && !event.defaultPrevented && isWriting(event.target) && event.target.closest('[data-desk]') && !event.target.closest('dialog')) {
                event.target.blur();
                return;
            }
            if (event.ctrlKey || event.altKey || event.metaKey || isWriting(event.target) || document.querySelector('dialog:modal')) {
                return;
            }
            const name = Object.keys(this.keys).find((command) => this.keys[command] === event.key);
            if (name && this.#acts[name]) {
                event.preventDefault();
                this.#acts[name]();
            }
        });
        this.#settings(settings);
    }

    on(acts) {
        Object.assign(this.#acts, acts);
    }

    run(name) {
        this.#acts[name]?.();
    }

    /** The list of keys is where they are changed. */
    #settings(url) {
        const form = document.getElementById('keys-form');
        form?.addEventListener('input', () => {
            const used = new Map();
            for (const field of form.querySelectorAll('input[data-key-of]')) {
                const clash = field.value !== '' && used.has(field.value);
                field.setCustomValidity(clash ? `“${field.value}” is the key of “${used.get(field.value)}”.` : '');
                used.set(field.value, field.dataset.name);
            }
        });
        form?.addEventListener('submit', async (event) => {
            event.preventDefault();
            const keys = Object.fromEntries([...form.querySelectorAll('input[data-key-of]')].map((field) => [field.dataset.keyOf, field.value]));
            const line = form.querySelector('[role=status]');
            try {
                const answer = await sendJson('PUT', url, { keys });
                line.textContent = answer.ok ? 'Kept.' : ((await answer.json()).message ?? 'Not kept.');
                if (answer.ok) {
                    this.keys = keys;
                }
            } catch {
                line.textContent = 'Not kept: the server cannot be reached. Try again.';
            }
        });
    }
}
