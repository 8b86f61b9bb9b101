/*
 * Voice and video: recorded in the browser, listened to before it is kept, with what is said written beside it. Dictation
 * where the browser offers it. A recording that could not be sent stays in the page until it is.
 */
import { post } from '../request.js';

const kinds = { voice: ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'], video: ['video/webm;codecs=vp8,opus', 'video/mp4'] };
const clock = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export function startVoice({ desk, config }) {
    const dialog = document.getElementById('voice');
    if (!dialog) {
        return;
    }
    const part = (name) => dialog.querySelector(`[data-${name}]`);
    const say = (text, isProblem = false) => {
        part('say').textContent = text;
        part('say').classList.toggle('signal', isProblem);
    };
    let recorder = null;
    let stream = null;
    let pieces = [];
    let kept = null;
    let seconds = 0;
    let ticking = null;
    let criterion = '';
    let kind = 'voice';

    const buttons = (state) => {
        const shown = { ready: ['begin'], running: ['pause', 'stop'], paused: ['go-on', 'stop'], heard: ['keep', 'redo'] }[state];
        for (const name of ['begin', 'pause', 'go-on', 'stop', 'keep', 'redo']) {
            part(name).hidden = !shown.includes(name);
        }
        part('played').hidden = state !== 'heard';
        part('video-live').hidden = kind !== 'video' || state === 'heard';
        dialog.querySelector(`[data-${shown[0]}]`).focus();
    };

    const reset = () => {
        stream?.getTracks().forEach((track) => track.stop());
        stream = null;
        recorder = null;
        pieces = [];
        kept = null;
        seconds = 0;
        clearInterval(ticking);
        part('time').textContent = `0:00 of ${clock(config.voiceSeconds)}`;
        part('level').setAttribute('width', '0');
        say('');
        buttons('ready');
    };

    async function begin() {
        if (!navigator.mediaDevices?.getUserMedia || !window.MediaRecorder) {
            say('This browser does not record sound. Write the comment instead, or attach a sound file.', true);
            return;
        }
        try {
            stream = await navigator.mediaDevices.getUserMedia({ audio: true, video: kind === 'video' ? { width: 640, height: 360 } : false });
        } catch (error) {
            say(error.name === 'NotFoundError' ? `There is no ${kind === 'video' ? 'camera or ' : ''}microphone that this browser can find. Connect one and begin again, or write the comment instead.`
                : 'The browser does not let this page use the microphone. Allow it beside the address, then begin again; nothing is recorded until you do.', true);
            return;
        }
        const mime = kinds[kind].find((type) => MediaRecorder.isTypeSupported(type));
        recorder = new MediaRecorder(stream, mime ? { mimeType: mime } : {});
        pieces = [];
        recorder.addEventListener('dataavailable', (event) => event.data.size > 0 && pieces.push(event.data));
        recorder.addEventListener('stop', heard);
        recorder.start(1000);
        if (kind === 'video') {
            part('video-live').srcObject = stream;
        }
        meter();
        ticking = setInterval(() => {
            if (recorder?.state === 'recording') {
                seconds += 0.25;
                part('time').textContent = `${clock(seconds)} of ${clock(config.voiceSeconds)}`;
                if (seconds >= config.voiceSeconds) {
                    recorder.stop();
                    say(`It stops at ${clock(config.voiceSeconds)}. What you said is kept up to here.`);
                }
            }
        }, 250);
        say('');
        buttons('running');
    }

    function meter() {
        const context = new AudioContext();
        const analyser = context.createAnalyser();
        context.createMediaStreamSource(stream).connect(analyser);
        const samples = new Float32Array(analyser.fftSize);
        const step = () => {
            if (!stream) {
                context.close();
                return;
            }
            analyser.getFloatTimeDomainData(samples);
            const loud = Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / samples.length);
            part('level').setAttribute('width', String(Math.min(200, Math.round(600 * loud))));
            requestAnimationFrame(step);
        };
        step();
    }

    function heard() {
        clearInterval(ticking);
        stream?.getTracks().forEach((track) => track.stop());
        stream = null;
        kept = new Blob(pieces, { type: recorder.mimeType });
        const player = part(kind === 'video' ? 'play-video' : 'play');
        dialog.querySelectorAll('audio, [data-play-video]').forEach((one) => { one.hidden = one !== player; });
        player.src = URL.createObjectURL(kept);
        buttons('heard');
    }

    async function keep() {
        const form = new FormData();
        form.set('kind', kind);
        form.set('criterion', criterion);
        form.set('seconds', String(Math.max(0.3, seconds).toFixed(1)));
        form.set('written', part('written').value);
        form.set('recording', kept, `recording.${kept.type.includes('mp4') ? 'mp4' : (kept.type.includes('ogg') ? 'ogg' : 'webm')}`);
        say('Sending …');
        try {
            const answer = await post(config.attachments, form);
            const told = await answer.json();
            if (!answer.ok) {
                say(`${told.message} The recording is still here.`, true);
                return;
            }
            document.getElementById('attachments').innerHTML = told.html;
            dialog.close();
            reset();
            part('written').value = '';
        } catch {
            say('Not sent: the server cannot be reached. The recording is still here; keep this page open and try again.', true);
        }
    }

    desk.addEventListener('click', (event) => {
        const opener = event.target.closest('[data-record]');
        if (opener) {
            kind = opener.dataset.record;
            criterion = opener.dataset.criterion ?? '';
            dialog.querySelector('h2').textContent = `${kind === 'video' ? 'Video' : 'Voice'}${criterion ? `: ${config.criteria[criterion]}` : ', in general'}`;
            dialog.showModal();
            kept ? buttons('heard') : reset();
        }
    });
    part('begin').addEventListener('click', begin);
    part('pause').addEventListener('click', () => { recorder.pause(); buttons('paused'); });
    part('go-on').addEventListener('click', () => { recorder.resume(); buttons('running'); });
    part('stop').addEventListener('click', () => recorder.stop());
    part('redo').addEventListener('click', reset);
    part('keep').addEventListener('click', keep);
    dialog.addEventListener('close', () => {
        if (recorder && recorder.state !== 'inactive') {
            recorder.stop();
        }
    });

    // Dictation, where the browser has it: what is said goes where the cursor was.
    const Recognition = window.SpeechRecognition ?? window.webkitSpeechRecognition;
    const dictate = desk.querySelector('[data-dictate]');
    if (Recognition && dictate) {
        dictate.hidden = false;
        let field = null;
        let listening = null;
        desk.addEventListener('focusin', (event) => { field = event.target.matches('textarea') ? event.target : field; });
        dictate.addEventListener('pointerdown', (event) => event.preventDefault());
        dictate.addEventListener('click', () => {
            if (listening) {
                listening.stop();
                return;
            }
            field ??= document.getElementById('general');
            listening = Object.assign(new Recognition(), { continuous: true, interimResults: false, lang: 'en-GB' });
            listening.onresult = (event) => {
                const words = [...event.results].slice(event.resultIndex).map((result) => result[0].transcript).join(' ').trim();
                field.setRangeText(`${field.selectionStart > 0 && !/\s$/.test(field.value.slice(0, field.selectionStart)) ? ' ' : ''}${words}`, field.selectionStart, field.selectionEnd, 'end');
                field.dispatchEvent(new Event('input', { bubbles: true }));
            };
            // A browser that fails says so first and ends after: what went wrong stays to be read until one tries again.
            let after = 'dictate';
            listening.onend = () => { listening = null; dictate.textContent = after; dictate.setAttribute('aria-pressed', 'false'); };
            listening.onerror = () => { after = 'dictation did not work: try again'; };
            listening.start();
            dictate.textContent = 'stop dictating';
            dictate.setAttribute('aria-pressed', 'true');
        });
    }
}
