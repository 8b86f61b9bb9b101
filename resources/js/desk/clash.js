/* Two versions of one field, the other made in another tab or on another device, and the choice between them. */
import { make } from '../make.js';

const said = (text, className = 'small whitespace-pre-line') => make('p', { className, textContent: text });

/** What the server refused, said beside its field. */
export function refuse(box, why) {
    box.replaceChildren(said(why, 'signal small'));
}

/**
 * @param {Element} box where it is said
 * @param {{theirs: any, words?: string}} outcome
 * @param {boolean} isMark levels and points cannot both be kept, texts can
 * @param {() => any} now what the field says here
 * @param {(value: any) => void} choose
 */
export function offer(box, outcome, isMark, now, choose) {
    const button = (text, value) => make('button', { type: 'button', className: 'button small', textContent: text, onClick: () => { box.replaceChildren(); choose(value()); } });
    const buttons = [button('Keep what is here', now), button('Take the other', () => outcome.theirs)];
    const words = isMark
        ? [said(`In another tab or on another device this has meanwhile been set to: ${outcome.words}. What you chose here is not saved yet.`)]
        : [said('In another tab or on another device this now reads:'), said(outcome.theirs === '' ? '(nothing)' : outcome.theirs, 'small whitespace-pre-line border-l-3 border-rule pl-3 my-1')];
    if (!isMark) {
        buttons.push(button('Keep both', () => `${outcome.theirs}\n\n${now()}`));
    }
    box.replaceChildren(make('div', { className: 'notice refusal', role: 'alert' }, ...words, make('div', { className: 'flex flex-wrap gap-2 mt-2' }, ...buttons)));
}
