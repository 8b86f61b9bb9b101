/* Writing a post: kept as it is typed, sent until an answer comes, refused in words with the words still in the field. */
import { Drafts, ownWords } from './drafts.js';
import { Refused, refusal, send } from './uploads.js';

const newId = () => globalThis.crypto?.randomUUID?.() ?? '10000000-1000-4000-8000-100000000000'.replace(/[018]/g,
    (c) => (c ^ (crypto.getRandomValues(new Uint8Array(1))[0] & (15 >> (c / 4)))).toString(16));
const store = () => {
    try {
        return window.localStorage;
    } catch {
        return { getItem: () => null, setItem() {}, removeItem() {} };
    }
};
const drafts = new Drafts(store(), newId);

/** Whether something was begun there and not posted. */
export const beganIn = (key) => drafts.get(key) !== null;

/** Before someone signs out nothing of theirs stays in this browser. */
export function forgetDrafts(loses) {
    const keys = drafts.keys();
    if (keys.length > 0 && !loses(keys.length)) {
        return false;
    }
    keys.forEach((key) => drafts.drop(key));
    return true;
}

export function startComposing(form) {
    form.dataset.started = '';
    const key = form.dataset.compose;
    const area = form.querySelector('textarea[name=text]');
    const answers = form.querySelector('input[name=answers]');
    const once = form.querySelector('input[name=once]');
    const said = form.querySelector('[data-said]');
    const count = form.querySelector('[data-count]');
    const button = form.querySelector('button.primary');
    const say = (text, bad = false) => {
        said.className = bad ? 'error' : 'hint';
        said.textContent = text;
    };
    const counted = () => {
        const words = ownWords(area.value);
        const least = Number(count.dataset.least);
        count.textContent = words === 0 ? '' : least > words ? `${words} of ${least} words` : words === 1 ? '1 word' : `${words} words`;
    };
    const keep = () => {
        once.value = drafts.keep(key, area.value, answers.value) ?? '';
        counted();
    };
    const kept = drafts.get(key);
    if (kept && area.value.trim() === '') {
        area.value = kept.text;
        kept.answers && answers.value === '' && (answers.value = kept.answers);
        say('Begun before, and not posted yet. It was kept in this browser.');
        form.closest('details')?.setAttribute('open', '');
    }
    area.value.trim() === '' || keep();
    area.addEventListener('input', keep);
    area.addEventListener('keydown', (event) => {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            form.requestSubmit();
        }
    });
    form.addEventListener('submit', async (event) => {
        event.preventDefault();
        if (area.value.trim() === '') {
            say('Write something first.', true);
            area.focus();
            return;
        }
        keep();
        button.disabled = true;
        say('Posting …');
        try {
            const answer = await send(form.action, { method: 'POST', body: new FormData(form) },
                (why) => say(`${why} Your words are kept in this browser; they are posted as soon as it goes on. Leave this page open.`, true));
            if (!answer.ok) {
                throw await refusal(answer);
            }
            drafts.drop(key);
            form.dataset.done = 'yes';
            const to = new URL((await answer.json()).to, location.href);
            const stays = to.pathname + to.search === location.pathname + location.search;
            location.assign(to);
            stays && location.reload();
        } catch (error) {
            button.disabled = false;
            say(error instanceof Refused ? error.message : 'It could not be posted. Your words are still in the field: press the button again.', true);
        }
    });
    window.addEventListener('beforeunload', (event) => {
        if (button.disabled && !form.dataset.done) {
            event.preventDefault();
        }
    });
    counted();
}
