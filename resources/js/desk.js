/*
 * The desk: every change goes to the server at once (htmx on each rail and comment). Here is what keeps a word from
 * being lost when that fails: what is on its way is also kept in this browser until the server has said "saved", is
 * sent again when the connection is back, and is put back into the page when it is opened again.
 */
import { startRails } from './rail.js';

const RETRY = 4000;

export function startDesk(htmx) {
    const desk = document.querySelector('[data-desk]');
    if (!desk) {
        return;
    }
    const key = (form) => `young-harbor:${desk.dataset.desk}:${form.dataset.part}`;
    const say = (text, isProblem) => {
        const stateLine = document.getElementById('saved'); // replaced after each save, so never kept
        stateLine.textContent = text;
        stateLine.classList.toggle('signal', isProblem);
    };
    const fields = (form) => Object.fromEntries([...new FormData(form)].filter(([name]) => !name.startsWith('_')));
    const parts = () => [...desk.querySelectorAll('form[data-part]')];

    const keep = (form) => {
        localStorage.setItem(key(form), JSON.stringify(fields(form)));
        form.dataset.waiting = 'yes';
    };

    const putBack = (form) => {
        const kept = localStorage.getItem(key(form));
        if (kept === null) {
            return;
        }
        form.querySelectorAll('input[type=checkbox]').forEach((box) => { box.checked = JSON.parse(kept)[box.name] !== undefined; });
        for (const [name, value] of Object.entries(JSON.parse(kept))) {
            for (const field of form.querySelectorAll(`[name="${CSS.escape(name)}"]`)) {
                if (field.type === 'radio') {
                    field.checked = field.value === value;
                } else if (field.type !== 'checkbox') {
                    field.value = value;
                }
            }
        }
        form.dataset.waiting = 'yes';
        htmx.trigger(form, 'again');
    };

    desk.addEventListener('input', (event) => {
        const form = event.target.closest('form[data-part]');
        if (form) {
            keep(form);
            say('Saving …', false);
        }
    });

    desk.addEventListener('htmx:beforeRequest', (event) => {
        const form = event.target.closest('form[data-part]');
        if (!form) {
            return;
        }
        // A choice and the pause after it both ask to be saved; the second finds nothing left to do.
        if (form.dataset.waiting !== 'yes') {
            event.preventDefault();
        }
        form.dataset.sent = JSON.stringify(fields(form));
    });

    desk.addEventListener('htmx:afterRequest', (event) => {
        const form = event.target.closest('form[data-part]');
        if (!form) {
            return;
        }
        if (event.detail.successful) {
            // What was typed while the request was under way is still waiting.
            if (form.dataset.sent === JSON.stringify(fields(form))) {
                localStorage.removeItem(key(form));
                delete form.dataset.waiting;
            }
            document.getElementById('messages').replaceChildren();
        } else {
            say('Not saved yet; kept in this browser', true);
        }
    });

    // Whatever is still waiting is sent again, for as long as it takes.
    setInterval(() => {
        for (const form of parts()) {
            if (form.dataset.waiting === 'yes' && !form.classList.contains('htmx-request') && document.activeElement?.form !== form) {
                htmx.trigger(form, 'again');
            }
        }
    }, RETRY);
    window.addEventListener('online', () => parts().filter((form) => form.dataset.waiting).forEach((form) => htmx.trigger(form, 'again')));

    window.addEventListener('beforeunload', (event) => {
        if (parts().some((form) => form.dataset.waiting === 'yes')) {
            event.preventDefault();
        }
    });

    desk.querySelector('[data-finish]')?.addEventListener('submit', (event) => {
        if (parts().some((form) => form.dataset.waiting === 'yes')) {
            event.preventDefault();
            say('Saving first …', false);
            const finish = event.target;
            parts().filter((form) => form.dataset.waiting).forEach((form) => htmx.trigger(form, 'again'));
            const wait = setInterval(() => {
                if (!parts().some((form) => form.dataset.waiting === 'yes')) {
                    clearInterval(wait);
                    finish.submit();
                }
            }, 150);
        }
    });

    startRails(desk, 'form[data-part]');
    parts().forEach(putBack);
}
