/* Who else is here, and what they wrote. */
import { ask as fetchNews } from '../request.js';
import { placeOf, savedValueOf, setSaved, setValue, sheet } from './cells.js';

/** @param {{changes: import('./changes.js').Changes, isBusy: () => boolean, drawAgain: () => void}} desk */
export async function hearNews({ changes, isBusy, drawAgain }) {
    const side = document.getElementById('sheet-side');
    if (!side || document.hidden || isBusy()) {
        return;
    }
    const answer = await fetchNews(`${side.dataset.news}?seen=${side.dataset.version}`).catch(() => null);
    if (!answer?.ok || isBusy()) {
        return;
    }
    const news = await answer.json();
    const line = document.getElementById('news');
    line.textContent = news.others.length ? `Also here: ${news.others.join(', ')}.` : '';
    const now = document.getElementById('sheet-side');
    if (!news.fields || now.dataset.version !== side.dataset.version) {
        return;
    }
    if (!news.working) {
        line.textContent += ' This rubric is no longer a working copy; load the page again.';
        return;
    }
    let taken = 0;
    for (const field of sheet().querySelectorAll('[name]:not([type=hidden]):not(button)')) {
        const theirs = news.fields[placeOf(field.name)];
        if (theirs !== undefined && theirs !== savedValueOf(field) && changes.isFree(field.name)) {
            setSaved(field, theirs);
            setValue(field, theirs);
            taken++;
        }
    }
    if (news.by && (taken > 0 || news.shape !== sheet().dataset.shape)) {
        line.textContent += ` ${news.by} has changed the sheet; you see it now.`;
    }
    now.dataset.version = news.version;
    now.querySelector('input[name=seen]').value = news.version;
    document.getElementById('ready-button').value = news.version;
    drawAgain(); // its shape, its weight bar and its advice may differ
}
