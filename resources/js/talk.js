/*
 * A topic: answering where the answer belongs, and what others post meanwhile. What is new is told where it stands and put
 * in only when asked for, so that nothing moves under one who reads.
 */
import { ask } from './request.js';
import { beganIn, startComposing } from './compose.js';
import { quoted } from './drafts.js';

const EVERY = 15000;

/** The form for an answer, put into its thread when it is first needed: a page of threads would hold one in each. */
function form(page, place) {
    const own = place.querySelector('form');
    if (own) {
        return own;
    }
    const model = page.querySelector('template[data-answer-form]');
    const made = model.content.firstElementChild.cloneNode(true);
    const thread = place.closest('[data-thread]').dataset.thread;
    [made, ...made.querySelectorAll('*')].forEach((element) => [...element.attributes].forEach((one) => {
        one.value.includes('THREAD') && element.setAttribute(one.name, one.value.replace('THREAD', thread));
    }));
    place.append(made);
    startComposing(made);
    return made;
}
const many = (count, one, more) => (count === 1 ? one : `${count} ${more}`);

function answering(page) {
    page.addEventListener('click', (event) => {
        const link = event.target.closest('a[data-answer]');
        const thread = link?.closest('[data-thread]');
        const place = thread?.querySelector('[data-answer-here]');
        if (!place) {
            return;
        }
        event.preventDefault();
        const post = link.closest('[data-post]');
        const answer = form(page, place);
        const area = answer.querySelector('textarea');
        answer.querySelector('input[name=answers]').value = link.dataset.answer;
        const whom = answer.querySelector('[data-answering]');
        whom.textContent = `answers ${post.querySelector('[data-who]').textContent.trim()}`;
        whom.hidden = false;
        place.open = true;
        if ('quote' in link.dataset) {
            const words = post.querySelector('[data-words]');
            const chosen = getSelection();
            const part = chosen && !chosen.isCollapsed && words?.contains(chosen.anchorNode) ? chosen.toString() : words?.innerText ?? '';
            area.value = `${area.value.trim() === '' ? '' : `${area.value.trimEnd()}\n\n`}${quoted(part.slice(0, 600))}\n\n`;
            area.dispatchEvent(new Event('input', { bubbles: true }));
        }
        area.focus();
        area.setSelectionRange(area.value.length, area.value.length);
    });
    page.addEventListener('toggle', (event) => {
        event.target.matches('[data-answer-here][open]') && form(page, event.target);
    }, true);
    // What was begun and not posted opens by itself.
    const key = page.querySelector('template[data-answer-form]')?.content.firstElementChild.dataset.compose;
    key && page.querySelectorAll('[data-answer-here]').forEach((place) => {
        if (beganIn(key.replace('THREAD', place.closest('[data-thread]').dataset.thread))) {
            place.open = true;
        }
    });
}

function news(page, htmx) {
    let newest = Number(page.dataset.newest);
    let shownTo = newest;
    let threads = 0;
    const replies = new Map();
    const bar = page.querySelector('[data-news-bar]');
    const button = bar?.querySelector('button');

    const draw = () => {
        if (bar) {
            bar.hidden = threads === 0;
            button.textContent = many(threads, 'One new post: show it', 'new posts: show them');
        }
        replies.forEach((count, id) => {
            const more = page.querySelector(`[data-thread="${id}"] [data-new-replies]`);
            // Behind replies that are not shown yet, "more" tells of them.
            if (more && !page.querySelector(`[data-thread="${id}"] [data-more-replies]`)) {
                more.hidden = false;
                more.textContent = many(count, 'One new reply: show it', 'new replies: show them');
            }
        });
    };

    async function look() {
        if (document.hidden) {
            return;
        }
        try {
            const url = new URL(page.dataset.news, location.href);
            url.searchParams.set('after', newest);
            const answer = await ask(url);
            if (!answer.ok) {
                return;
            }
            const told = await answer.json();
            newest = Math.max(newest, told.newest);
            threads += told.threads;
            Object.entries(told.replies).forEach(([id, count]) => replies.set(id, (replies.get(id) ?? 0) + count));
            draw();
        } catch {
            // The connection is gone; it is asked again.
        }
    }

    button?.addEventListener('click', async () => {
        const url = new URL(page.dataset.begun, location.href);
        url.searchParams.set('after', shownTo);
        const answer = await ask(url);
        if (!answer.ok) {
            return;
        }
        const list = page.querySelector('[data-thread-list]');
        list.insertAdjacentHTML('afterbegin', await answer.text());
        htmx.process(list);
        document.dispatchEvent(new Event('htmx:afterSettle'));
        shownTo = newest;
        threads = 0;
        draw();
        list.querySelector('[data-post]')?.focus();
    });

    page.addEventListener('click', async (event) => {
        const more = event.target.closest('[data-new-replies]');
        if (!more) {
            return;
        }
        const url = new URL(more.dataset.from, location.href);
        url.searchParams.set('after', more.dataset.after);
        url.searchParams.set('new', '1');
        const answer = await ask(url);
        if (answer.ok) {
            replies.delete(more.closest('[data-thread]').dataset.thread);
            const place = more.parentElement;
            more.insertAdjacentHTML('beforebegin', await answer.text());
            more.remove();
            htmx.process(place);
        }
    });

    setInterval(look, EVERY);
    document.addEventListener('visibilitychange', look);
    window.addEventListener('online', look);
    // For those who test: what the clock would do.
    page.addEventListener('look', look);
}

export function startTalk(page, htmx) {
    answering(page);
    page.dataset.news && news(page, htmx);
    const at = location.hash.length > 1 ? document.getElementById(location.hash.slice(1)) : null;
    at?.classList.add('now');
    at?.focus({ preventScroll: true });
    at?.scrollIntoView({ block: 'center' });
}
