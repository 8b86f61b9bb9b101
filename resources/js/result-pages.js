/*
 * The pages of a student's own PDF with what the markers drew on them: each drawn when it comes near, its comments' numbers
 * leading to the comments. Without this the comments stand in the list, with their page.
 */
import { make } from './make.js';
import { shape, svg } from './shapes.js';

export function startResultPages(box) {
    const { url, notes } = JSON.parse(box.dataset.resultPages);
    const message = box.querySelector('[data-message]');
    box.querySelector('[data-show-pages]').addEventListener('click', async (event) => {
        event.currentTarget.hidden = true;
        message.textContent = 'Opening the pages …';
        try {
            const pdfjs = await import('pdfjs-dist');
            const { default: worker } = await import('pdfjs-dist/build/pdf.worker.min.mjs?url');
            pdfjs.GlobalWorkerOptions.workerSrc = worker;
            await lay(await pdfjs.getDocument({ url, isEvalSupported: false, disableAutoFetch: true, withCredentials: true }).promise);
            message.textContent = '';
        } catch {
            message.textContent = 'The pages could not be opened. Try again in a moment; the comments are in the list.';
            box.querySelector('[data-show-pages]').hidden = false;
        }
    });

    async function lay(pdf) {
        const first = (await pdf.getPage(1)).getViewport({ scale: 1 });
        const seen = new IntersectionObserver((entries) => entries.filter((entry) => entry.isIntersecting && !entry.target.dataset.drawn).forEach((entry) => {
            entry.target.dataset.drawn = 'yes';
            draw(pdf, entry.target);
        }), { rootMargin: '600px 0px' });
        for (let number = 1; number <= pdf.numPages; number++) {
            const sheet = make('div', { className: 'pdf-page' });
            sheet.dataset.page = String(number);
            sheet.setAttribute('role', 'group');
            sheet.setAttribute('aria-label', `Page ${number}`);
            sheet.style.setProperty('aspect-ratio', `${first.width} / ${first.height}`);
            sheet.append(...marks(number));
            box.append(sheet);
            seen.observe(sheet);
        }
    }

    function marks(number) {
        const here = notes.filter((note) => note.anchor.page === number);
        const canvas = svg('svg', { class: 'pdf-notes', viewBox: '0 0 100 100', preserveAspectRatio: 'none', 'aria-hidden': 'true' });
        canvas.append(...here.map((note) => shape(note.anchor, note.key)));
        return [canvas, ...here.map((note) => {
            const link = make('a', { className: `page-mark ${note.key}`, textContent: String(note.number), href: `#comment-${note.number}` });
            link.setAttribute('aria-label', note.label);
            link.style.setProperty('left', `${note.anchor.points[0][0]}%`);
            link.style.setProperty('top', `${note.anchor.points[0][1]}%`);
            return link;
        })];
    }

    async function draw(pdf, sheet) {
        const page = await pdf.getPage(Number(sheet.dataset.page));
        const flat = page.getViewport({ scale: 1 });
        sheet.style.setProperty('aspect-ratio', `${flat.width} / ${flat.height}`);
        const viewport = page.getViewport({ scale: Math.min(2, devicePixelRatio || 1) * sheet.clientWidth / flat.width });
        const canvas = make('canvas', { width: Math.floor(viewport.width), height: Math.floor(viewport.height) });
        canvas.setAttribute('aria-hidden', 'true');
        sheet.prepend(canvas);
        await page.render({ canvas, viewport }).promise;
    }
}
