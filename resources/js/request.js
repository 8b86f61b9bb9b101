/* What a page asks of the server beside its forms: the one place that reads the token of this session. */
export const tokenField = () => document.querySelector('meta[name=csrf-token]');
export const token = () => tokenField()?.content ?? '';

const asPage = () => ({ Accept: 'application/json', 'X-CSRF-TOKEN': token(), 'X-Requested-With': 'XMLHttpRequest' });

export function ask(url) {
    return fetch(url, { headers: asPage(), redirect: 'manual' });
}

/** A form, or nothing, is sent as it is. */
export function post(url, body = undefined) {
    return fetch(url, { method: 'POST', credentials: 'same-origin', headers: asPage(), body });
}

export function sendJson(method, url, body, keepalive = false) {
    return fetch(url, {
        method, keepalive, credentials: 'same-origin', redirect: 'manual',
        headers: { ...asPage(), 'Content-Type': 'application/json' }, body: JSON.stringify(body),
    });
}
