/* How fast what was spoken is played: a choice beside each player, the same for all on the page. */
import { make } from './make.js';

export const SPEEDS = [0.75, 1, 1.25, 1.5, 2];

export function startSpeed(player) {
    const players = () => [...document.querySelectorAll('[data-speed]')];
    const options = SPEEDS.map((speed) => make('option', { value: speed, selected: speed === 1 }, `${speed} ×`));
    const choice = make('select', { className: 'input speed', 'data-speeds': '', onchange: () => {
        players().forEach((one) => { one.playbackRate = Number(choice.value); });
        document.querySelectorAll('[data-speeds]').forEach((one) => { one.value = choice.value; });
    } }, ...options);
    player.after(make('label', { className: 'quiet small flex items-center gap-2' }, 'Speed', choice));
}
