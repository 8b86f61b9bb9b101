/*
 * The plan of allocation: a script is picked up by dragging its marker's name, or by choosing it, and put onto another
 * marker's line. What the move would do to loads and to who marks with whom is shown on each line before it is made.
 */
export function startPlan(htmx) {
    let moving = null;
    // What is swapped in after a move is another element of the same name.
    const plan = () => document.getElementById('plan');

    const say = (text) => {
        const line = document.getElementById('moving');
        line.textContent = text;
        line.hidden = text === '';
    };

    const effect = (lane) => {
        const to = lane.dataset.lane;
        const { part, has, other } = moving.dataset;
        if (to === has) {
            return 'has it';
        }
        if (to === other) {
            return 'marks it already';
        }
        const common = JSON.parse(plan().dataset.common);
        const now = Number(lane.dataset[part]);
        const together = other ? `; with the other ${common[to]?.[other] ?? 0} → ${(common[to]?.[other] ?? 0) + 1}` : '';
        return `${now} → ${now + 1}${together}`;
    };

    const pickUp = (mover) => {
        moving = mover;
        for (const lane of plan().querySelectorAll('.lane')) {
            const free = lane.dataset.lane !== mover.dataset.has && lane.dataset.lane !== mover.dataset.other;
            lane.querySelector('[data-put]').hidden = !free;
            lane.querySelector('[data-effect]').textContent = effect(lane);
            lane.classList.toggle('open', free);
            lane.classList.toggle('shut', !free);
        }
        say(`Moving the ${mover.dataset.part} mark of ${mover.dataset.move}. Choose a line, or Escape to leave it where it is.`);
    };

    const letGo = () => {
        moving = null;
        plan()?.querySelectorAll('.lane').forEach((lane) => {
            lane.classList.remove('open', 'shut', 'over');
            lane.querySelector('[data-put]').hidden = true;
            lane.querySelector('[data-effect]').textContent = '';
        });
        if (plan()) {
            say('');
        }
    };

    const put = (to) => {
        const page = new URLSearchParams(location.search);
        const { move, part } = moving.dataset;
        const id = moving.id;
        htmx.ajax('POST', plan().dataset.plan, {
            target: '#plan', swap: 'outerHTML', values: { script: move, part, to, with: page.get('with') ?? '', page: page.get('page') ?? '' },
        }).then(() => document.getElementById(id)?.focus());
        letGo();
    };

    document.addEventListener('click', (event) => {
        const mover = event.target.closest('[data-move]');
        if (mover) {
            pickUp(mover);
            document.querySelector('#lanes [data-put]:not([hidden])')?.focus();
            return;
        }
        const target = event.target.closest('[data-put]');
        if (target && moving) {
            put(target.dataset.put);
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.key === 'Escape' && moving) {
            const back = moving;
            letGo();
            back.focus();
        }
    });
    document.addEventListener('dragstart', (event) => {
        const mover = event.target.closest?.('[data-move]');
        if (mover) {
            event.dataTransfer.setData('text/plain', mover.dataset.move);
            pickUp(mover);
        }
    });
    document.addEventListener('dragover', (event) => {
        const lane = moving && event.target.closest?.('.lane.open');
        plan()?.querySelectorAll('.lane.over').forEach((other) => other.classList.toggle('over', other === lane));
        if (lane) {
            event.preventDefault();
            lane.classList.add('over');
        }
    });
    document.addEventListener('drop', (event) => {
        const lane = moving && event.target.closest?.('.lane.open');
        if (lane) {
            event.preventDefault();
            put(lane.dataset.lane);
        }
    });
    document.addEventListener('dragend', letGo);
}
