/*
 * What was changed on the sheet and is not saved. Each change carries what its field held before it, so that the server
 * can tell what someone else changed meanwhile. A field someone else wrote in too is held until one of both is chosen.
 */
export class Changes {
    #dirty = new Map(); // field name → what it held when it was last saved
    #held = new Map(); // field name → what someone else wrote
    #sent = new Map(); // on its way: field name → {was, to}

    /** A field is being changed. @returns {boolean} false for one that is held */
    touch(name, saved) {
        if (this.#held.has(name)) {
            return false;
        }
        if (!this.#dirty.has(name)) {
            this.#dirty.set(name, this.#sent.get(name)?.to ?? saved);
        }
        return true;
    }

    /** Takes what is to be sent. @param {(name: string) => string|null} now what a field says; null when it is gone */
    send(now) {
        this.#sent = new Map();
        for (const [name, was] of this.#dirty) {
            const to = now(name);
            if (to !== null && to !== was) {
                this.#sent.set(name, { was, to });
            }
        }
        this.#dirty.clear();
        return [...this.#sent].map(([name, change]) => ({ name, ...change }));
    }

    /** What was sent has been answered: taken, or it waits again. @returns {Array<[string, string]>} what is saved now */
    answered(isTaken) {
        const saved = [];
        for (const [name, { was, to }] of this.#sent) {
            if (isTaken) {
                saved.push([name, to]);
            } else {
                this.#dirty.set(name, was);
            }
        }
        return saved;
    }

    forgetSent() {
        this.#sent = new Map();
    }

    sentNames() {
        return [...this.#sent.keys()];
    }

    /** Someone else wrote in it too. */
    hold(name, theirs) {
        this.#held.set(name, theirs);
    }

    /** One of both was chosen. @param {string|null} theirs when ours goes on: what it takes the place of */
    choose(name, theirs) {
        this.#held.delete(name);
        if (theirs !== null) {
            this.#dirty.set(name, theirs);
        }
    }

    drop(name) {
        this.#dirty.delete(name);
        this.#held.delete(name);
    }

    has(name) {
        return this.#dirty.has(name);
    }

    /** Whether a field may be set to what someone else saved. */
    isFree(name) {
        return !this.#dirty.has(name) && !this.#held.has(name) && !this.#sent.has(name);
    }

    /** Fields that a sheet drawn anew would lose. */
    names() {
        return [...this.#dirty.keys(), ...this.#held.keys()];
    }

    get unsent() {
        return this.#dirty.size;
    }

    get held() {
        return this.#held.size;
    }
}
