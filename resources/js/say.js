/*
 * A reply that is spoken: recorded in the browser, listened to, and sent with the form as its file. Without a microphone
 * the form takes a sound file instead.
 */
import { make } from './make.js';

const MIMES = ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'];
const clock = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export function startSaying(form) {
    if (!navigator.mediaDevices?.getUserMedia || !window.MediaRecorder) {
        return;
    }
    const file = form.querySelector('input[type=file]');
    const kind = form.querySelector('input[name=kind]');
    const most = Number(form.dataset.say);
    const button = make('button', { type: 'button', className: 'button', textContent: 'Record a reply' });
    const said = make('span', { className: 'quiet small' });
    said.setAttribute('role', 'status');
    const heard = make('audio', { controls: true, hidden: true, className: 'w-full mt-1' });
    file.before(make('div', { className: 'flex flex-wrap items-center gap-2 mb-1' }, button, said), heard);
    let recorder = null;

    async function begin() {
        let stream;
        try {
            stream = await navigator.mediaDevices.getUserMedia({ audio: true });
        } catch (error) {
            said.textContent = error.name === 'NotFoundError' ? 'There is no microphone that this browser can find. Write the reply, or choose a sound file.'
                : 'The browser does not let this page use the microphone. Allow it beside the address, then press again.';
            return;
        }
        const mime = MIMES.find((type) => MediaRecorder.isTypeSupported(type));
        const pieces = [];
        const began = Date.now();
        recorder = new MediaRecorder(stream, mime ? { mimeType: mime } : {});
        recorder.addEventListener('dataavailable', (event) => event.data.size > 0 && pieces.push(event.data));
        const ticking = setInterval(() => {
            const seconds = (Date.now() - began) / 1000;
            said.textContent = `${clock(seconds)} of ${clock(most)}`;
            seconds >= most && recorder?.stop();
        }, 250);
        recorder.addEventListener('stop', () => {
            clearInterval(ticking);
            stream.getTracks().forEach((track) => track.stop());
            const blob = new Blob(pieces, { type: recorder.mimeType });
            recorder = null;
            const given = new DataTransfer();
            given.items.add(new File([blob], `reply.${blob.type.includes('mp4') ? 'm4a' : blob.type.includes('ogg') ? 'ogg' : 'webm'}`, { type: blob.type }));
            file.files = given.files;
            kind.value = 'voice';
            heard.src = URL.createObjectURL(blob);
            heard.hidden = false;
            button.textContent = 'Record it anew';
            said.textContent = 'Listen to it, then send. It goes with what you write.';
        });
        recorder.start(1000);
        button.textContent = 'Stop';
    }

    button.addEventListener('click', () => (recorder ? recorder.stop() : begin()));
    file.addEventListener('change', () => {
        kind.value = '';
        heard.hidden = true;
    });
}
