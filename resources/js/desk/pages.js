/*
 * A script's PDF as pages: drawn when they come into view and let go when they are far, so that four hundred of them stay
 * quick. A point, a box, a line or a line drawn by hand begins a comment; so do words selected on a page. Places are kept
 * in percent of the page as it lies in the file, whatever zoom or turn it is looked at with.
 */
import { make } from '../make.js';
import { shape, svg } from '../shapes.js';

const FAR = 3;
const STEPS = [0.5, 0.67, 0.8, 1, 1.25, 1.5, 2, 3];

/** A point of the page as it lies in the file, turned as it is looked at, and back; percent. */
const turned = ([x, y], turn) => ({ 0: [x, y], 90: [100 - y, x], 180: [100 - x, 100 - y], 270: [y, 100 - x] })[turn];
const straight = ([x, y], turn) => turned([x, y], (360 - turn) % 360);
const within = (value) => Math.round(Math.max(0, Math.min(100, value)) * 100) / 100;

const closed = { isOpen: () => false, current: () => 1, goTo() {}, leave() {}, enter() {}, toggle() {}, drawNotes() {} };

export function startPages({ desk, notes, config }) {
    const box = document.getElementById('pages');
    if (!box || config.files.length === 0) {
        return { ...closed, toggle: () => notes.say('There are no pages to show: this script was not handed in as a PDF.') };
    }
    const reader = desk.querySelector('.script');
    const text = desk.querySelector('.reader');
    const bar = box.querySelector('[data-bar]');
    const sheets = box.querySelector('[data-sheets]');
    const message = box.querySelector('[data-message]');
    let file = config.files[0];
    let pdf = null;
    let pdfjs = null;
    let scale = 1;
    let fit = true;
    let turn = 0;
    let tool = 'read';
    let sizes = [];
    let found = [];
    const words = new Map();
    const drawn = new Map();

    const isOpen = () => !box.hidden;
    const pageOf = (number) => sheets.querySelector(`[data-page="${number}"]`);

    async function load() {
        message.textContent = 'Opening the pages …';
        pdfjs ??= await import('pdfjs-dist');
        const { default: worker } = await import('pdfjs-dist/build/pdf.worker.min.mjs?url');
        pdfjs.GlobalWorkerOptions.workerSrc = worker;
        try {
            pdf = await pdfjs.getDocument({ url: file.url, isEvalSupported: false, disableAutoFetch: true, withCredentials: true }).promise;
        } catch (error) {
            message.textContent = error?.name === 'InvalidPDFException' || error?.name === 'FormatError'
                ? 'These pages cannot be shown: the file is damaged. Its text is under “text”; comments can be made there.'
                : 'The pages could not be opened. Try again in a moment; the text is under “text”.';
            pdf = null;
            return;
        }
        message.textContent = '';
        const first = (await pdf.getPage(1)).getViewport({ scale: 1 });
        sizes = Array.from({ length: pdf.numPages }, () => [first.width, first.height]);
        bar.querySelector('[data-all]').textContent = String(pdf.numPages);
        bar.querySelector('[name=page]').max = String(pdf.numPages);
        lay();
    }

    /** Room for every page; what is drawn on it comes when it is looked at. */
    function lay() {
        const at = current();
        drawn.clear();
        if (fit) {
            const [width, height] = sizes[0];
            scale = Math.max(0.3, (reader.clientWidth - 60) / (turn % 180 === 0 ? width : height));
        }
        sheets.replaceChildren(...sizes.map((size, n) => {
            const sheet = make('div', { className: 'pdf-page', tabIndex: -1 });
            sheet.dataset.page = String(n + 1);
            sheet.setAttribute('aria-label', `Page ${n + 1}`);
            sheet.setAttribute('role', 'group');
            measure(sheet, size);
            return sheet;
        }));
        sheets.querySelectorAll('.pdf-page').forEach((sheet) => seen.observe(sheet));
        show(at);
        drawNotes();
        bar.querySelector('[data-zoom]').textContent = `${Math.round(scale * 100)} %`;
    }

    /** Brings a page below the bars; only the script's pane moves. */
    function show(number) {
        const sheet = pageOf(number);
        if (sheet) {
            reader.scrollTop += sheet.getBoundingClientRect().top - bar.getBoundingClientRect().bottom - 8;
        }
    }

    function measure(sheet, [width, height]) {
        const [across, down] = turn % 180 === 0 ? [width, height] : [height, width];
        sheet.style.setProperty('width', `${Math.round(across * scale)}px`);
        sheet.style.setProperty('height', `${Math.round(down * scale)}px`);
    }

    const seen = new IntersectionObserver((entries) => {
        for (const entry of entries) {
            entry.target.dataset.near = entry.isIntersecting ? 'yes' : '';
            if (entry.isIntersecting) {
                draw(Number(entry.target.dataset.page));
            }
        }
        for (const [number, task] of drawn) {
            if (pageOf(number)?.dataset.near !== 'yes' && Math.abs(number - current()) > FAR) {
                task.cancel?.();
                pageOf(number)?.querySelectorAll('canvas, .pdf-text').forEach((old) => old.remove());
                drawn.delete(number);
            }
        }
        bar.querySelector('[name=page]').value = String(current());
    }, { root: reader, rootMargin: '400px 0px' });

    async function draw(number) {
        if (drawn.has(number) || !pdf) {
            return;
        }
        drawn.set(number, {});
        const page = await pdf.getPage(number);
        const sheet = pageOf(number);
        const flat = page.getViewport({ scale: 1 });
        sizes[number - 1] = [flat.width, flat.height];
        measure(sheet, sizes[number - 1]);
        const viewport = page.getViewport({ scale, rotation: (page.rotate + turn) % 360 });
        const dense = Math.min(2, devicePixelRatio || 1);
        const canvas = make('canvas', { width: Math.floor(viewport.width * dense), height: Math.floor(viewport.height * dense) });
        canvas.setAttribute('aria-hidden', 'true');
        const layer = make('div', { className: 'pdf-text' });
        layer.style.setProperty('--total-scale-factor', String(scale));
        layer.style.setProperty('--scale-factor', String(scale));
        sheet.prepend(canvas, layer);
        try {
            const task = page.render({ canvas, viewport, transform: dense === 1 ? null : [dense, 0, 0, dense, 0, 0] });
            drawn.set(number, task);
            await task.promise;
            const content = await page.getTextContent();
            words.set(number, content.items.map((item) => item.str).join(' '));
            await new pdfjs.TextLayer({ textContentSource: content, container: layer, viewport }).render();
            if (content.items.length === 0) {
                sheet.setAttribute('aria-label', `Page ${number}, a picture without text`);
            }
            markFound(number);
        } catch (error) {
            if (error?.name !== 'RenderingCancelledException') {
                sheet.append(make('p', { className: 'signal p-4', textContent: `Page ${number} cannot be drawn.` }));
            }
        }
    }

    function current() {
        if (!sheets.firstElementChild) {
            return 1;
        }
        const top = reader.getBoundingClientRect().top + 140;
        for (const sheet of sheets.children) {
            if (sheet.getBoundingClientRect().bottom > top) {
                return Number(sheet.dataset.page);
            }
        }
        return sheets.children.length;
    }

    /** The list of pages, with how many comments stand on each. */
    function list() {
        bar.querySelector('[data-list]').replaceChildren(...sizes.map((size, n) => {
            const count = notes.onPage(file.number, n + 1).length;
            const button = make('button', { type: 'button', textContent: `page ${n + 1}${count === 0 ? '' : ` · ${count === 1 ? '1 comment' : `${count} comments`}`}` });
            button.dataset.go = String(n + 1);
            n + 1 === current() && button.setAttribute('aria-current', 'true');
            return make('li', {}, button);
        }));
    }

    function drawNotes() {
        if (!isOpen() || !pdf) {
            return;
        }
        for (const sheet of sheets.children) {
            sheet.querySelectorAll('.pdf-notes, .page-mark').forEach((old) => old.remove());
            const here = notes.onPage(file.number, Number(sheet.dataset.page));
            if (here.length === 0 && tool === 'read') {
                continue;
            }
            const canvas = svg('svg', { class: 'pdf-notes', viewBox: '0 0 100 100', preserveAspectRatio: 'none', 'aria-hidden': 'true' });
            for (const { note, isOpen: isNow } of here) {
                canvas.append(shapeOf(note.anchor, note.kind, isNow));
            }
            sheet.append(canvas);
            for (const { id, note, number, isOpen: isNow } of here) {
                const [x, y] = turned(note.anchor.points[0], turn);
                const button = make('button', { type: 'button', className: `page-mark ${note.kind}`, textContent: String(number) });
                button.dataset.note = id;
                button.setAttribute('aria-label', `Comment ${number}, ${note.kind}, on page ${note.anchor.page}`);
                isNow && button.setAttribute('aria-current', 'true');
                button.style.setProperty('left', `${x}%`);
                button.style.setProperty('top', `${y}%`);
                sheet.append(button);
            }
        }
    }

    const shapeOf = (anchor, kind, isNow) => shape(anchor, kind, isNow, (point) => turned(point, turn));

    // Drawing: with mouse, pen or finger; with a tool chosen the page does not scroll under it.
    sheets.addEventListener('pointerdown', (event) => {
        const sheet = event.target.closest('.pdf-page');
        if (!sheet || tool === 'read' || event.button !== 0 || event.target.closest('.page-mark') || config.state.done) {
            return;
        }
        event.preventDefault();
        const area = sheet.getBoundingClientRect();
        const at = (moved) => [within(100 * (moved.clientX - area.left) / area.width), within(100 * (moved.clientY - area.top) / area.height)];
        const points = [at(event)];
        const canvas = sheet.querySelector('.pdf-notes') ?? sheet.appendChild(svg('svg', { class: 'pdf-notes', viewBox: '0 0 100 100', preserveAspectRatio: 'none' }));
        let ghost = null;
        const move = (moved) => {
            if (tool === 'freehand') {
                points.length < 399 && points.push(at(moved));
            } else {
                points[1] = at(moved);
            }
            ghost?.remove();
            ghost = canvas.appendChild(shapeOf({ shape: tool, points: points.map((point) => straight(point, turn)) }, 'remark', true));
        };
        tool !== 'point' && sheet.addEventListener('pointermove', move);
        sheet.setPointerCapture(event.pointerId);
        sheet.addEventListener('pointerup', () => {
            sheet.removeEventListener('pointermove', move);
            ghost?.remove();
            const still = tool !== 'point' && (points.length < 2 || Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x)) + Math.max(...points.map(([, y]) => y)) - Math.min(...points.map(([, y]) => y)) < 0.6);
            begin(Number(sheet.dataset.page), still ? 'point' : tool, still ? [points[0]] : points);
        }, { once: true });
    });

    function begin(page, shape, points) {
        notes.begin({ file: file.number, page, shape, points: points.map((point) => straight(point, turn).map(within)) });
    }

    /** Words selected on a page, or the middle of what is in view. */
    function comment() {
        const selection = getSelection();
        const sheet = selection?.rangeCount && !selection.isCollapsed ? selection.getRangeAt(0).startContainer.parentElement?.closest('.pdf-page') : null;
        if (sheet) {
            const area = sheet.getBoundingClientRect();
            const words_ = selection.getRangeAt(0).getBoundingClientRect();
            const point = (x, y) => [within(100 * (x - area.left) / area.width), within(100 * (y - area.top) / area.height)];
            begin(Number(sheet.dataset.page), 'box', [point(words_.left, words_.top), point(words_.right, words_.bottom)]);
            return;
        }
        const number = current();
        const area = pageOf(number).getBoundingClientRect();
        const pane = reader.getBoundingClientRect();
        begin(number, 'point', [[50, within(100 * ((Math.max(area.top, pane.top) + Math.min(area.bottom, pane.bottom)) / 2 - area.top) / area.height)]]);
    }

    async function enter(page = 1) {
        box.hidden = false;
        text.hidden = true;
        desk.dataset.view = 'pages';
        document.querySelectorAll('[data-command=pages]').forEach((button) => { button.textContent = 'text'; });
        if (!pdf) {
            await load();
        }
        bar.style.setProperty('top', `${desk.querySelector('.script-bar').offsetHeight}px`);
        show(page);
        drawNotes();
    }

    function leave() {
        if (isOpen()) {
            box.hidden = true;
            text.hidden = false;
            desk.dataset.view = 'text';
            document.querySelectorAll('[data-command=pages]').forEach((button) => { button.textContent = 'pages'; });
            notes.draw();
        }
    }

    async function search(wanted) {
        const line = bar.querySelector('[data-found]');
        found = [];
        if (!pdf || wanted.trim() === '') {
            line.textContent = '';
            sheets.querySelectorAll('.hit').forEach((hit) => hit.classList.remove('hit'));
            return;
        }
        line.textContent = 'looking …';
        for (let number = 1; number <= pdf.numPages; number++) {
            if (!words.has(number)) {
                words.set(number, (await (await pdf.getPage(number)).getTextContent()).items.map((item) => item.str).join(' '));
            }
            if (words.get(number).toLowerCase().includes(wanted.toLowerCase())) {
                found.push(number);
            }
        }
        line.textContent = found.length === 0 ? ([...words.values()].every((one) => one.trim() === '') ? 'these pages hold no text to search' : 'not found') : `on ${found.length === 1 ? '1 page' : `${found.length} pages`}`;
        sheets.querySelectorAll('.pdf-page').forEach((sheet) => markFound(Number(sheet.dataset.page)));
        const next = found.find((number) => number > current()) ?? found[0];
        if (next) {
            show(next);
        }
    }

    function markFound(number) {
        const wanted = bar.querySelector('[name=search]').value.trim().toLowerCase();
        pageOf(number)?.querySelectorAll('.pdf-text span').forEach((one) => one.classList.toggle('hit', wanted !== '' && one.textContent.toLowerCase().includes(wanted)));
    }

    const zoom = (by) => {
        fit = false;
        const nearest = STEPS.reduce((best, step, n) => (Math.abs(step - scale) < Math.abs(STEPS[best] - scale) ? n : best), 0);
        scale = STEPS[Math.max(0, Math.min(STEPS.length - 1, nearest + by))];
        lay();
    };
    bar.querySelector('details').addEventListener('toggle', (event) => { event.target.open && list(); });
    bar.addEventListener('click', (event) => {
        const go = event.target.closest('[data-go]')?.dataset.go;
        if (go) {
            bar.querySelector('details').open = false;
            show(Number(go));
            pageOf(go).focus({ preventScroll: true });
        }
        const act = event.target.closest('[data-act]')?.dataset.act;
        ({ in: () => zoom(1), out: () => zoom(-1), fit: () => { fit = true; lay(); }, turn: () => { turn = (turn + 90) % 360; lay(); } })[act]?.();
    });
    bar.addEventListener('change', (event) => {
        if (event.target.name === 'page') {
            show(Math.max(1, Math.min(pdf?.numPages ?? 1, Number(event.target.value) || 1)));
        } else if (event.target.name === 'file') {
            file = config.files.find((one) => String(one.number) === event.target.value);
            pdf = null;
            words.clear();
            load();
        } else if (event.target.name === 'tool') {
            tool = event.target.value;
            sheets.dataset.tool = tool;
        }
    });
    bar.querySelector('form')?.addEventListener('submit', (event) => { event.preventDefault(); search(bar.querySelector('[name=search]').value); });
    let width = 0;
    new ResizeObserver(() => {
        if (isOpen() && pdf && fit && Math.abs(reader.clientWidth - width) > 8) {
            width = reader.clientWidth;
            lay();
        }
    }).observe(reader);

    return {
        isOpen, current, leave, enter, drawNotes, comment,
        toggle: () => (isOpen() ? leave() : enter(current())),
        goTo: async (number, page, y) => {
            if (number !== file.number) {
                file = config.files.find((one) => one.number === number) ?? file;
                pdf = null;
            }
            await enter(page);
            const sheet = pageOf(page);
            if (sheet) {
                reader.scrollTop += sheet.getBoundingClientRect().top + sheet.offsetHeight * turned([0, y], turn)[1] / 100 - reader.getBoundingClientRect().top - 160;
            }
        },
    };
}
