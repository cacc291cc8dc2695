// What was refused is read first; each message leads to the field that it is about, where the page has it.
const refused = document.querySelector('[data-errors]');
refused?.querySelectorAll('[data-field]').forEach((line) => {
    const [first, ...more] = line.dataset.field.split('.');
    const names = [line.dataset.field, `${first}${more.map((part) => `[${part}]`).join('')}`, `${first}[]`];
    const field = names
        .map((name) => document.querySelector(`main [name="${CSS.escape(name)}"]:not([type=hidden])`))
        .find((found) => found);
    if (!field) return;
    field.id ||= `e-${line.dataset.field}`;
    field.setAttribute('aria-invalid', 'true');
    const link = document.createElement('a');
    link.href = `#${field.id}`;
    link.append(...line.childNodes);
    link.addEventListener('click', (event) => {
        event.preventDefault();
        field.closest('details')?.setAttribute('open', '');
        field.focus();
    });
    line.append(link);
});
refused?.focus();
