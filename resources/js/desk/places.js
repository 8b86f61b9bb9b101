/*
 * Places in the text of a script, as positions that count code points of its text content, and back as ranges.
 */
const length = (text) => [...text].length;

/** The text nodes of the script with the position each begins at. */
function nodes(article) {
    const walker = document.createTreeWalker(article, NodeFilter.SHOW_TEXT);
    const found = [];
    let at = 0;
    while (walker.nextNode()) {
        found.push({ node: walker.currentNode, at, units: walker.currentNode.data.length, points: length(walker.currentNode.data) });
        at += found.at(-1).points;
    }
    return { found, total: at };
}

/** Counts again only when the text has changed. */
export class Places {
    #map = null;

    constructor(article) {
        this.article = article;
        this.text = article.textContent;
        this.points = [...this.text];
    }

    #nodes() {
        return this.#map ??= nodes(this.article);
    }

    total() {
        return this.#nodes().total;
    }

    /** @returns {Range|null} */
    range(start, end) {
        const { found } = this.#nodes();
        const place = (at, isEnd) => {
            const in_ = found.find((one) => (isEnd ? at <= one.at + one.points : at < one.at + one.points)) ?? found.at(-1);
            if (!in_) {
                return null;
            }
            const units = in_.units === in_.points ? at - in_.at : [...in_.node.data].slice(0, at - in_.at).join('').length;
            return [in_.node, Math.min(units, in_.units)];
        };
        const from = place(start, false);
        const to = place(end, true);
        if (!from || !to) {
            return null;
        }
        const range = document.createRange();
        range.setStart(...from);
        range.setEnd(...to);
        return range;
    }

    /** Where a position of the document lies; null outside the script. */
    position(node, offset) {
        if (!this.article.contains(node)) {
            return null;
        }
        const range = document.createRange();
        range.setStart(this.article, 0);
        range.setEnd(node, offset);
        return length(range.toString());
    }

    /** A selection as start and end, without white space at its ends; null when it holds no word. */
    selected() {
        const selection = getSelection();
        if (!selection || selection.rangeCount === 0 || selection.isCollapsed) {
            return null;
        }
        const range = selection.getRangeAt(0);
        if (!this.article.contains(range.commonAncestorContainer)) {
            return null;
        }
        return this.trimmed(this.position(range.startContainer, range.startOffset), this.position(range.endContainer, range.endOffset));
    }

    trimmed(start, end) {
        const blank = (at) => /\s/u.test(this.points[at] ?? ' ');
        while (start < end && blank(start)) {
            start++;
        }
        while (end > start && blank(end - 1)) {
            end--;
        }
        return start < end ? [start, end] : null;
    }

    anchor([start, end]) {
        const words = (from, to) => this.points.slice(Math.max(0, from), to).join('');
        return { exact: words(start, end), prefix: words(start - 32, start), suffix: words(end, end + 32), start, end };
    }

    /** Sentences of the script as [start, end], in order; a block ends a sentence. What stands around the words has none. */
    sentences() {
        if (this.list) {
            return this.list;
        }
        this.list = [];
        const cut = new Intl.Segmenter(document.documentElement.lang || 'en', { granularity: 'sentence' });
        const blocks = [...this.article.querySelectorAll('p, li, h1, h2, h3, h4, h5, h6, td, th, blockquote, dt, dd, pre, caption')].filter((block) => !block.querySelector('p, li, blockquote, pre') && !block.closest('[data-around]'));
        for (const block of blocks) {
            const first = this.position(block, 0);
            let at = first;
            for (const { segment } of cut.segment(block.textContent)) {
                const end = at + length(segment);
                const place = this.trimmed(at, end);
                if (place) {
                    this.list.push(place);
                }
                at = end;
            }
        }
        return this.list;
    }

    /** The ends of the word that begins or ends nearest to a place, stepping by one word. */
    wordStep(at, by) {
        const isWord = (one) => /[\p{L}\p{N}\p{M}]/u.test(this.points[one] ?? ' ');
        if (by > 0) {
            while (at < this.points.length && isWord(at)) {
                at++;
            }
            while (at < this.points.length && !isWord(at)) {
                at++;
            }
        } else {
            while (at > 0 && !isWord(at - 1)) {
                at--;
            }
            while (at > 0 && isWord(at - 1)) {
                at--;
            }
        }
        return at;
    }
}
