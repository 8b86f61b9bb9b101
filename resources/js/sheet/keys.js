/* Movement from cell to cell, as in a table; from inside a text only from its edge. */
import { isText, sheet } from './cells.js';

export function actOnKey(event, ask, hasUnsaved) {
    const field = event.target;
    const isElsewhere = field.closest?.('#sheet') === null;
    if (document.querySelector('dialog[open]') || (isElsewhere && field !== document.body && field.id !== 'main')) {
        return;
    }
    const criterion = field.closest('tr')?.dataset.criterion;
    const level = field.name?.match(/^levels\[([^\]]+)\]/)?.[1];
    const cellLevel = level ?? field.name?.match(/\[(?:descriptors|guidance|overrides)\]\[([^\]]+)\]/)?.[1];
    const does = (what) => {
        event.preventDefault();
        ask(what);
    };
    if ((event.ctrlKey || event.metaKey) && ['z', 'Z', 'y'].includes(event.key)) {
        if (!(isText(field) && hasUnsaved(field))) {
            does(event.key === 'z' && !event.shiftKey ? 'undo' : 'redo');
        }
        return;
    }
    if (isElsewhere) {
        return;
    }
    if (event.ctrlKey && event.key === 'Enter') {
        does(event.shiftKey ? 'add-level' : `add-criterion${criterion ? `:${criterion}` : ''}`);
        return;
    }
    if (event.altKey && event.shiftKey) {
        const move = { ArrowUp: criterion && `criterion-up:${criterion}`, ArrowDown: criterion && `criterion-down:${criterion}`, ArrowLeft: cellLevel && `level-left:${cellLevel}`, ArrowRight: cellLevel && `level-right:${cellLevel}`,
            D: level ? `duplicate-level:${level}` : criterion && `duplicate-criterion:${criterion}`, Delete: level ? `remove-level:${level}` : criterion && `remove-criterion:${criterion}` }[event.key];
        if (move) {
            does(move);
        }
        return;
    }
    if (event.ctrlKey || event.altKey || event.metaKey || event.shiftKey || !isText(field) || field.dataset.col === undefined) {
        return;
    }
    const atStart = field.selectionStart === 0 && field.selectionEnd === 0;
    const atEnd = field.selectionStart === field.value.length;
    const column = [...sheet().querySelectorAll(`[data-col="${field.dataset.col}"]`)];
    const row = [...(field.closest('tr')?.querySelectorAll('[data-col]') ?? [])];
    const beside = (list, by) => list[list.indexOf(field) + by];
    const target = event.key === 'ArrowUp' && atStart ? beside(column, -1)
        : event.key === 'ArrowDown' && atEnd ? beside(column, 1)
            : event.key === 'ArrowLeft' && atStart ? beside(row, -1)
                : event.key === 'ArrowRight' && atEnd ? beside(row, 1)
                    : event.key === 'Enter' && (field.tagName === 'INPUT' || field.dataset.single !== undefined) ? beside(column, 1) ?? field
                        : null;
    if (target) {
        event.preventDefault();
        target.focus();
        const end = event.key === 'ArrowLeft' || event.key === 'ArrowUp' ? target.value.length : 0;
        target.setSelectionRange?.(end, end);
    }
}
