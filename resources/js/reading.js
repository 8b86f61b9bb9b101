/* A student's result says every while that it is still in front of someone, and which comments came into view since. */
import { post } from './request.js';

/** A comment counts as seen when half of it, or as much as fits, stood in view for a second. */
const STAYS = 1000;

export function startReading(page) {
    const seen = new Set();
    const told = new Set();
    const waiting = new Map();
    const watch = new IntersectionObserver((entries) => entries.forEach(({ target, isIntersecting }) => {
        const id = target.dataset.comment;
        clearTimeout(waiting.get(id));
        isIntersecting && waiting.set(id, setTimeout(() => document.visibilityState === 'visible' && seen.add(id), STAYS));
    }), { threshold: 0.5 });
    page.querySelectorAll('[data-comment]').forEach((one) => watch.observe(one));
    const tell = () => {
        const now = [...seen].filter((id) => !told.has(id));
        const body = new URLSearchParams(now.map((id) => ['seen[]', id]));
        return post(page.dataset.reading, body).then(() => now.forEach((id) => told.add(id))).catch(() => {});
    };
    setInterval(() => document.visibilityState === 'visible' && tell(), Number(page.dataset.every) * 1000);
    document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && seen.size > told.size && tell());
}
