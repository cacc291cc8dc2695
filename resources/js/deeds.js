// A deed's button works once; the server would find the same docket anyway.
document.querySelectorAll('form[data-once]').forEach((form) => {
    form.addEventListener('submit', () => {
        window.setTimeout(
            () =>
                form.querySelectorAll('button').forEach((button) => {
                    button.disabled = true;
                }),
            0,
        );
    });
});

// What is searched for is shown while it is being typed: a receiver on a deed's page, anything in the mast.
document.querySelectorAll('form[data-find-account], .mast-find').forEach((form) => {
    const found = form.parentElement.querySelector('[data-found]');
    let asked = 0;
    form.querySelector('input[name=q]').addEventListener('input', async (event) => {
        const mine = ++asked;
        if (found.hasAttribute('hidden') && event.target.value.trim() === '') return;
        const query = new URLSearchParams(new FormData(form));
        query.set('found', 'only');
        const answer = await fetch(`${form.action}?${query}`, { headers: { Accept: 'text/html' } });
        const text = await answer.text();
        if (mine !== asked || !answer.ok) return;
        found.innerHTML = text;
        found.hidden = text.trim() === '';
    });
});

// A page that waits asks every second, and is loaded again when nothing is left.
const waiting = document.querySelector('[data-waiting]');
if (waiting) {
    const timer = window.setInterval(async () => {
        const answer = await fetch(waiting.dataset.waiting, { headers: { Accept: 'application/json' } });
        if (!answer.ok) return;
        const { waiting: left, told, far } = await answer.json();
        waiting.textContent = told;
        if (typeof far === 'number') document.querySelector('[data-far]')?.setAttribute('value', far);
        if (left === 0) {
            window.clearInterval(timer);
            window.location.reload();
        }
    }, 1000);
}

document.querySelectorAll('[data-print]').forEach((button) => button.addEventListener('click', () => window.print()));
