/*
 * Lets the observer's page open without a connection, and no other: it answers for /observe/ alone. It keeps that page,
 * which holds the people one observes and what one recorded of them, and what the page is made of; no mark of anyone
 * else. It is emptied when one signs out.
 */
const KEPT = 'observe';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (event) => {
    const url = new URL(event.request.url);
    if (event.request.method !== 'GET' || url.origin !== self.location.origin) {
        return;
    }
    if (event.request.mode === 'navigate' && /^\/observe\/[0-9a-f-]{36}$/.test(url.pathname)) {
        event.respondWith(page(event.request));
    } else if (url.pathname.startsWith('/build/') || url.pathname === '/mark.svg') {
        event.respondWith(part(event.request));
    }
});

async function page(request) {
    const kept = await caches.open(KEPT);
    try {
        const answer = await fetch(request);
        if (answer.ok && !answer.redirected) {
            await kept.put(request.url, answer.clone());
        } else if (answer.status >= 500) {
            return (await kept.match(request.url)) ?? answer;
        }
        return answer;
    } catch (error) {
        const before = await kept.match(request.url);
        if (before) {
            return before;
        }
        throw error;
    }
}

async function part(request) {
    const kept = await caches.open(KEPT);
    const before = await kept.match(request.url);
    if (before) {
        return before;
    }
    const answer = await fetch(request);
    answer.ok && await kept.put(request.url, answer.clone());
    return answer;
}
