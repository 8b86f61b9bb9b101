import htmx from 'htmx.org';
import { startDesk } from './desk/desk.js';
import { emptyBrowser, sendLeftOvers } from './desk/outbox.js';
import { mount } from './mount.js';
import { token } from './request.js';
import { startReading } from './reading.js';
import { startResultPages } from './result-pages.js';
import { startSaying } from './say.js';
import { startChoosingAll } from './choose-all.js';
import { startLeast } from './least.js';
import { startMany } from './many.js';
import { startOthers } from './others.js';
import { startRails } from './rail.js';
import { startKeys } from './keys.js';
import { startPlan } from './plan.js';
import { startSpeed } from './speed.js';
import { startSheet } from './sheet/sheet.js';
import { startThreads } from './threads.js';
import { forgetDrafts, startComposing } from './compose.js';
import { forget, forgetPagesOfOthers, waiting } from './observe/store.js';
import { startDay } from './observe/day.js';
import { drawSquares, startCodes } from './second-step.js';
import { startTalk } from './talk.js';
import { startHandIn, startKeeping } from './uploads.js';

// Pages hold marks: no page is kept for going back, and nothing is evaluated.
htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.historyCacheSize = 0;
htmx.config.selfRequestsOnly = true;
htmx.config.responseHandling = [
    { code: '204', swap: false },
    { code: '[23]..', swap: true },
    { code: '409|422', swap: true, error: true },
    { code: '...', swap: false, error: true },
];

document.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-TOKEN'] = token();
});

// A request that fails without an answer the page can show must say so; whatever was typed is still in the page.
const failed = (text) => {
    const messages = document.getElementById('messages');
    if (messages) {
        messages.innerHTML = '<div class="notice refusal" role="alert"></div>';
        messages.firstElementChild.textContent = text;
    }
};
document.addEventListener('htmx:sendError', () => failed('Not saved: the server cannot be reached. What you wrote is still in the page and is sent again when you change it or the connection is back.'));
document.addEventListener('htmx:responseError', (event) => {
    const status = event.detail.xhr.status;
    if (status === 419 || status === 401) {
        failed('Not saved: you are no longer signed in. Sign in again in another tab, then change anything here: what you wrote is still in the page.');
    } else if (status !== 409 && status !== 422) {
        failed(`Not saved: the server answered with an error (${status}). What you wrote is still in the page; try again.`);
    }
});

document.addEventListener('click', (event) => {
    const opener = event.target.closest('[data-opens]');
    if (opener) {
        document.getElementById(opener.dataset.opens)?.showModal();
        return;
    }
    if (event.target.closest('[data-closes]')) {
        event.target.closest('dialog')?.close();
    }
});

document.addEventListener('submit', async (event) => {
    const form = event.target.closest('form[data-signs-out]');
    if (!form) {
        return;
    }
    event.preventDefault();
    const loses = (changes) => window.confirm(`${changes === 1 ? '1 change' : `${changes} changes`} made at the desk could not be saved yet, and would be lost. Sign out all the same?`);
    if (await emptyBrowser(loses) && forgetDrafts((posts) => window.confirm(posts === 1 ? 'A post that you began is not posted yet, and would be lost. Sign out all the same?' : `${posts} posts that you began are not posted yet, and would be lost. Sign out all the same?`))) {
        const seen = await waiting().catch(() => 0);
        if (seen > 0 && !window.confirm('Something you recorded as an observer has not arrived yet, and would be lost. Sign out all the same?')) {
            return;
        }
        await forget().catch(() => {});
        form.submit();
    }
});

// What drops down goes away again: by Escape, and when one goes on elsewhere.
const closeDrops = (except) => document.querySelectorAll('details.drop[open]').forEach((drop) => { drop.open = drop.contains(except); });
document.addEventListener('click', (event) => closeDrops(event.target));
document.addEventListener('keydown', (event) => {
    const drop = event.key === 'Escape' && document.querySelector('details.drop[open]');
    if (drop) {
        closeDrops(null);
        drop.querySelector('summary').focus();
        event.stopPropagation();
    }
}, true);

// A choice of what to show is asked for at once.
document.addEventListener('change', (event) => {
    if (event.target.matches('select[data-submits]')) {
        event.target.form.requestSubmit();
    }
});

const toast = document.querySelector('.toast');
if (toast) {
    setTimeout(() => { toast.hidden = true; }, 7000);
}

const person = document.querySelector('meta[name=person]')?.content ?? '';
forgetPagesOfOthers(person).catch(() => {});
startKeys();
mount('[data-desk]', (desk) => startDesk(desk, htmx)) > 0 || sendLeftOvers();
mount('[data-reading]', startReading);
mount('[data-result-pages]', startResultPages);
mount('form[data-say]', startSaying);
mount('[data-others]', startOthers);
mount('[data-rails]', (form) => startRails(form, '.criterion'));
mount('#sheet', () => startSheet(htmx));
mount('#plan', () => startPlan(htmx));
mount('form[data-upload]', startHandIn);
mount('textarea[data-keeps]', startKeeping);
mount('textarea[data-least]', startLeast);
mount('[data-chooses-all]', startChoosingAll);
mount('[data-observe]', startDay);
mount('[data-squares]', drawSquares);
mount('[data-codes]', startCodes);
mount('[data-talk]', (page) => startTalk(page, htmx));
mount('form[data-many]', (form) => startMany(form, (element) => htmx.process(element)));
// A report that is swapped in has threads of its own, and what was attached players.
const once = (selector, start) => mount(`${selector}:not([data-started])`, (element) => {
    element.dataset.started = '';
    start(element);
});
const started = () => {
    once('[data-threads]', startThreads);
    once('form[data-compose]', startComposing);
    once('[data-speed]', startSpeed);
};
started();
document.addEventListener('htmx:afterSettle', started);
