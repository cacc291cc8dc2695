// Ticking a row of the Roll puts it into the sheaf at once; without this script a button does.
const ticks = document.getElementById('ticks');
const bar = document.getElementById('sheaf');
const token = document.querySelector('meta[name=csrf-token]')?.content ?? '';

async function send(boxes) {
    const into = boxes.filter((box) => box.checked);
    const out = boxes.filter((box) => !box.checked);
    for (const [list, method] of [[into, 'POST'], [out, 'PATCH']]) {
        if (list.length === 0) continue;
        const answer = await fetch(ticks.action, {
            method,
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token },
            body: JSON.stringify({ names: list.map((box) => Number(box.value)) }),
        });
        if (!answer.ok) {
            list.forEach((box) => { box.checked = !box.checked; mark(box); });
            window.location.reload();
            return;
        }
        const { count, told } = await answer.json();
        bar.hidden = count === 0;
        bar.querySelector('[data-sheaf-count]').textContent = count;
        bar.querySelector('[data-sheaf-told]').textContent = told;
    }
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
        boxes.forEach((box) => { box.checked = all.checked; mark(box); });
        if (ticks && bar && ticks.contains(all) && boxes.length > 0) send(boxes);
    });
});
