// Ticking a row of the Roll puts it into the sheaf at once; without this script a button does.
const ticks = document.getElementById('ticks');
const bar = document.getElementById('sheaf');
const token = document.querySelector('meta[name=csrf-token]')?.content ?? '';
// What was ticked and not sent yet, by the name's number: one request at a time, so that the last answer is the newest.
const wanted = new Map();
let sending = false;

async function send(boxes) {
    boxes.forEach((box) => wanted.set(Number(box.value), box.checked));
    if (sending) return;
    sending = true;
    while (wanted.size > 0) {
        for (const [names, method] of taken()) {
            if (!(await tell(names, method))) return;
        }
    }
    sending = false;
}

/** What is to be sent: names into the sheaf, and names out of it. */
function taken() {
    const batch = [...wanted];
    wanted.clear();
    return [
        [true, 'POST'],
        [false, 'PATCH'],
    ]
        .map(([isIn, method]) => [batch.filter(([, checked]) => checked === isIn).map(([name]) => name), method])
        .filter(([names]) => names.length > 0);
}

function request(names, method) {
    return fetch(ticks.action, {
        method,
        // A page that is left at once has sent it all the same.
        keepalive: true,
        headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token },
        body: JSON.stringify({ names }),
    });
}

window.addEventListener('pagehide', () => taken().forEach(([names, method]) => request(names, method)));

/** Whether it was taken; else the page shows again what is so. */
async function tell(names, method) {
    const answer = await request(names, method).catch(() => null);
    if (answer === null || !answer.ok) {
        window.location.reload();
        return false;
    }
    const { count, told } = await answer.json();
    bar.hidden = count === 0;
    bar.querySelector('[data-sheaf-count]').textContent = count;
    bar.querySelector('[data-sheaf-told]').textContent = told;
    return true;
}

function mark(box) {
    box.closest('tr')?.classList.toggle('is-ticked', box.checked);
}

if (ticks && bar) {
    ticks.addEventListener('change', (event) => {
        const box = event.target;
        if (box.name === 'names[]') {
            mark(box);
            send([box]);
        }
    });
}

document.querySelectorAll('[data-tick-all]').forEach((all) => {
    all.addEventListener('change', () => {
        const boxes = [...all.closest('table').querySelectorAll('tbody input[type=checkbox]')].filter((box) => box.checked !== all.checked);
        boxes.forEach((box) => {
            box.checked = all.checked;
            mark(box);
        });
        if (ticks && bar && ticks.contains(all) && boxes.length > 0) send(boxes);
    });
});
