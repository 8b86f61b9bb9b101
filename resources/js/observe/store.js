/*
 * What was recorded and is not known to have arrived, kept in this browser (IndexedDB): events and files, by whose they are.
 * Nothing of it is sent as anyone else.
 */
const NAME = 'harbor-observe';

function opened() {
    return new Promise((done, failed) => {
        const asked = indexedDB.open(NAME, 1);
        asked.onupgradeneeded = () => {
            asked.result.createObjectStore('events', { keyPath: 'id' });
            asked.result.createObjectStore('files', { keyPath: 'id' });
            // A note that is being written, by mark.
            asked.result.createObjectStore('notes', { keyPath: 'id' });
        };
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => failed(asked.error);
    });
}

const finished = (transaction) => new Promise((done, failed) => {
    transaction.oncomplete = () => done();
    transaction.onerror = () => failed(transaction.error);
    transaction.onabort = () => failed(transaction.error);
});

export class Store {
    static async open(person) {
        return new Store(await opened(), person);
    }

    constructor(database, person) {
        this.database = database;
        this.person = person;
    }

    async put(store, thing) {
        const transaction = this.database.transaction(store, 'readwrite', { durability: 'strict' });
        transaction.objectStore(store).put({ ...thing, person: this.person });
        await finished(transaction);
    }

    async all(store) {
        const transaction = this.database.transaction(store);
        const asked = transaction.objectStore(store).getAll();
        await finished(transaction);
        return asked.result.filter((one) => one.person === this.person);
    }

    async drop(store, ids) {
        const transaction = this.database.transaction(store, 'readwrite');
        ids.forEach((id) => transaction.objectStore(store).delete(id));
        await finished(transaction);
    }
}

/** In place of it where a browser keeps nothing: what was recorded lasts as long as the page. */
export class Unkept {
    things = { events: new Map(), files: new Map(), notes: new Map() };

    async put(store, thing) { this.things[store].set(thing.id, thing); }

    async all(store) { return [...this.things[store].values()]; }

    async drop(store, ids) { ids.forEach((id) => this.things[store].delete(id)); }
}

/** How much waits in this browser, whoever's it is; for signing out. */
export async function waiting() {
    if (!globalThis.indexedDB || !(await indexedDB.databases?.())?.some(({ name }) => name === NAME)) {
        return 0;
    }
    const database = await opened();
    const transaction = database.transaction(['events', 'files', 'notes']);
    const asked = ['events', 'files', 'notes'].map((store) => transaction.objectStore(store).getAll());
    await finished(transaction);
    database.close();
    return asked.flatMap((one) => one.result).filter((one) => !one.sent).length;
}

/** Nothing stays in a browser that its person leaves: what was recorded, and the pages kept for being without a connection. */
export async function forget() {
    globalThis.indexedDB?.deleteDatabase(NAME);
    await globalThis.caches?.delete('observe');
}

/** Pages that another person left here, without signing out, are not shown to whoever is signed in now. */
export async function forgetPagesOfOthers(person) {
    const owner = localStorage.getItem('observe:who');
    if (person !== '' && owner !== null && owner !== person) {
        await globalThis.caches?.delete('observe');
        localStorage.removeItem('observe:who');
    }
}
