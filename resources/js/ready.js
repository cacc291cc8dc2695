// The mark that tests and pictures wait for: styles, fonts and scripts are in.
document.fonts.ready.then(() => document.documentElement.setAttribute('data-ready', 'yes'));

// "/" goes to the search, as long as nothing is being typed.
document.addEventListener('keydown', (event) => {
    const typing =
        event.target instanceof HTMLElement &&
        event.target.matches('input:not([type=checkbox], [type=radio]), textarea, select, [contenteditable]');
    if (event.key === '/' && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
        const find = document.querySelector('.mast-find input');
        if (find) {
            event.preventDefault();
            find.focus();
        }
    }
    if (event.key === '?' && !typing) document.querySelector('.mast-help')?.click();
    if (event.key === 'g' && !typing && !event.ctrlKey && !event.metaKey && !event.altKey)
        document.querySelector('#sheaf:not([hidden]) a.main')?.focus();
    if (event.key === 'Escape') {
        document.querySelectorAll('.mast-found').forEach((found) => {
            found.hidden = true;
        });
        document.querySelectorAll('details.menu[open]').forEach((menu) => {
            menu.removeAttribute('open');
            menu.querySelector('summary')?.focus();
        });
    }
});

// One list open at a time; a click elsewhere closes it.
document.addEventListener('click', (event) => {
    document.querySelectorAll('details.menu[open]').forEach((menu) => {
        if (!menu.contains(event.target)) menu.removeAttribute('open');
    });
    document.querySelectorAll('.mast-find').forEach((find) => {
        if (!find.contains(event.target)) find.querySelector('[data-found]').hidden = true;
    });
});

// A list that would reach over the window's edge opens to the other side.
document.addEventListener(
    'toggle',
    (event) => {
        const menu = event.target;
        const sheet = menu instanceof HTMLElement && menu.matches('details.menu') ? menu.querySelector('.menu-sheet') : null;
        if (!sheet) return;
        menu.classList.remove('menu-back');
        if (menu.open && sheet.getBoundingClientRect().right > document.documentElement.clientWidth) menu.classList.add('menu-back');
    },
    true,
);
