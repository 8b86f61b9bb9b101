/* Handing in: shows how much of a file has gone out, and says so when the connection fails; the choice stays. */
export function startUploads() {
    const form = document.querySelector('form[data-upload]');
    if (!form) {
        return;
    }
    const progress = form.querySelector('progress');
    const line = form.querySelector('[data-progress]');
    form.addEventListener('submit', (event) => {
        const file = form.querySelector('input[type=file]');
        if (!file.files.length) {
            return;
        }
        const most = Number(form.dataset.upload);
        const many = Number(file.dataset.most ?? 1);
        if (file.files.length > many) {
            event.preventDefault();
            line.textContent = `You chose ${file.files.length} files and ${many} can be handed in, so none was sent. Choose again.`;
            line.className = 'error';
            return;
        }
        if ([...file.files].some((each) => each.size > most)) {
            event.preventDefault();
            line.textContent = `This file is larger than ${Math.round(most / 1048576)} MB, so it was not sent. Hand in the text alone; pictures can usually be made smaller in your writing program.`;
            line.className = 'error';
            return;
        }
        event.preventDefault();
        const button = form.querySelector('button[type=submit]');
        button.disabled = true;
        progress.hidden = false;
        const request = new XMLHttpRequest();
        request.open('POST', form.action);
        request.upload.addEventListener('progress', (sent) => {
            progress.value = sent.loaded / sent.total;
            line.textContent = sent.loaded < sent.total ? `${Math.round(100 * sent.loaded / sent.total)} % sent` : 'Sent; reading it …';
        });
        request.setRequestHeader('Accept', 'application/json');
        request.addEventListener('load', () => {
            let answer = {};
            try {
                answer = JSON.parse(request.responseText);
            } catch {
                answer.message = `The server answered with an error (${request.status}). Nothing was handed in; the file is still chosen.`;
            }
            if (request.status === 200 && answer.to) {
                window.location.assign(answer.to);
                return;
            }
            refuse(Object.values(answer.errors ?? {}).flat().join(' ') || answer.message);
        });
        const refuse = (why) => {
            button.disabled = false;
            progress.hidden = true;
            line.className = 'error';
            line.textContent = why;
        };
        const lost = () => refuse('The connection was lost before the file had arrived. It is still chosen: press the button again.');
        request.addEventListener('error', lost);
        request.addEventListener('timeout', lost);
        request.send(new FormData(form));
    });
}
