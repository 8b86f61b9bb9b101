/*
 * The desk: a script and its rubric side by side. What is set and written goes into the outbox as it is made and on to the
 * server from there. Here its parts are put together: fields, comments, pages, keys, what is said of saving.
 */
import { startRails } from '../rail.js';
import { bindActs } from './acts.js';
import { startBank } from './bank.js';
import { offer, refuse } from './clash.js';
import { Commands } from './commands.js';
import { Fields } from './fields.js';
import { offerGathering } from './gather.js';
import { notesHere } from './here.js';
import { guardLeaving } from './leaving.js';
import { hearNews } from './news.js';
import { Notes } from './notes.js';
import { Outbox } from './outbox.js';
import { startPages } from './pages.js';
import { Places } from './places.js';
import { Presence } from './presence.js';
import { startSplit } from './split.js';
import { Status } from './status.js';
import { replaceTotal } from './total.js';
import { startVoice } from './voice.js';

/** What became of a change, said where it was made. */
function toldTo({ fields, notes, settle }) {
    return (key, outcome, now) => {
        const [what, about] = key.split(/:(.*)/s);
        if (what === 'note') {
            ({ saved: () => notes().saved(about, now), clash: () => notes().clash(about, outcome.theirs), refused: () => notes().refused(about, outcome.why) })[outcome.state]?.();
            return;
        }
        const isMark = what === 'mark';
        const box = (fields.text(key) ?? fields.form(about))?.closest('form').querySelector(isMark ? '[data-clash=mark]' : '[data-clash=words]');
        if (outcome.state === 'saved') {
            fields.learn(key, now);
            box?.replaceChildren();
        } else if (box && outcome.state === 'refused') {
            refuse(box, outcome.why);
        } else if (box) {
            offer(box, outcome, isMark, () => fields.now(key), (value) => {
                fields.learn(key, outcome.theirs);
                fields.put(key, value);
                settle(key, outcome.theirs, value);
            });
        }
    };
}

export async function startDesk(desk, htmx) {
    const config = JSON.parse(document.getElementById('desk-data').textContent);
    const fields = new Fields(desk);
    const status = new Status();
    let { version } = config.state;
    let savedAt = null; // by the server's clock
    let notes = null;

    const outbox = new Outbox({
        mark: desk.dataset.desk, url: config.sync, tokenUrl: config.token,
        told: toldTo({ fields, notes: () => notes, settle: (...change) => outbox.settle(...change) }),
        answered: (answer) => {
            version = answer.version;
            savedAt = answer.saved ?? savedAt;
            if (answer.total) {
                replaceTotal(answer.total, htmx);
            }
        },
        changed: (box, message) => status.tell(box, savedAt, config.state.done, message),
    });
    fields.listen((...change) => outbox.put(...change));
    fields.forms.forEach((form) => form.addEventListener('submit', (event) => { event.preventDefault(); outbox.soon(0); }));

    const places = new Places(desk.querySelector('article.text'));
    notes = new Notes({ desk, places, outbox, criteria: config.criteria, kinds: config.kinds, locked: config.state.done || config.earlier });
    fields.begin(config.state);
    notes.take(config.earlier ? {} : notesHere(places, config.state.notes));
    startRails(desk, 'form[data-part]');

    for (const [key, now] of await outbox.open()) {
        const [what, about] = key.split(/:(.*)/s);
        if (what === 'note') {
            notes.putBack(about, now);
        } else {
            fields.put(key, now);
        }
    }
    notes.draw();

    const pages = startPages({ desk, notes, config });
    notes.onPages(pages);
    const presence = new Presence(desk.querySelector('.script'), pages);
    outbox.alongside(() => presence.news());
    startSplit(desk, config);
    startBank({ desk, notes, config, outbox });
    startVoice({ desk, config });
    bindActs(new Commands(config.keys, config.settings), { desk, notes, pages });
    presence.goBack(config.place, (text) => notes.say(text));

    hearNews({
        outbox, url: () => `${config.news}?version=${version}`,
        take: (state) => {
            if (state.done !== config.state.done) {
                status.trouble(state.done ? 'This mark has been made done in another tab or on another device. Reload to go on.' : 'This mark has been opened again elsewhere. Reload to go on.');
                return;
            }
            version = state.version;
            fields.take(state, (key) => outbox.has(key));
            notes.take(notesHere(places, state.notes));
            replaceTotal(state.total, htmx);
        },
    });
    offerGathering(desk, fields, config.criteria, (text) => notes.say(text));
    status.offersFile(outbox, config.code);
    guardLeaving(desk, outbox, status);
    desk.dataset.ready = 'yes';
}
