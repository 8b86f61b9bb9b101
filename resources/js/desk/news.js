/* Asks now and then what was changed elsewhere: in another tab, on another device. */
import { ask } from '../request.js';

const EVERY = 15_000;

/**
 * @param {{outbox: import('./outbox.js').Outbox, url: () => string, take: (state: object) => void}} desk
 */
export function hearNews({ outbox, url, take }) {
    setInterval(async () => {
        outbox.soon(0);
        if (document.hidden || !navigator.onLine || outbox.waiting().length > 0) {
            return;
        }
        try {
            const answer = await ask(url());
            if (answer.status === 200) {
                take(await answer.json());
            }
        } catch {
            // not reachable: the next round asks again
        }
    }, EVERY);
}
