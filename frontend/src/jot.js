// One line of shorthand: a choice is put into the line, arrow up brings back what was written last, / leads to it from anywhere.
let last = '';

const put = (line, words) => {
  line.value = words;
  line.dispatchEvent(new Event('input', { bubbles: true }));
  line.focus();
};

// Over whatever page it is written, and back to that page; what was typed and not sent is there again.
const open = async () => {
  const dialog = document.getElementById('jot-over');
  if (dialog && !document.getElementById('line')) {
    await window.htmx.ajax('GET', '/jot?part=inner', { target: '#jot-inner', swap: 'innerHTML' });
  }
  const line = document.getElementById('line');
  if (!line) return;
  if (dialog?.contains(line) && !dialog.open) {
    line.form.elements.back.value = location.pathname + location.search;
    dialog.showModal();
  }
  line.focus();
};

// What comes of it takes the whole page's place: a dialog that is over it must be closed, not only gone.
document.addEventListener('htmx:beforeSwap', (event) => {
  if (event.detail.target === document.body) document.getElementById('jot-over')?.close();
});
document.addEventListener('click', (event) => {
  if (event.target.closest('[data-jot-open]') && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    open();
    return;
  }
  const choice = event.target.closest('[data-jot]');
  const line = document.getElementById('line');
  if (!choice || !line || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  put(line, choice.dataset.jot);
});
document.addEventListener('submit', (event) => {
  if (event.target.id === 'jot') last = document.getElementById('line').value;
});
document.addEventListener('keydown', (event) => {
  const line = document.getElementById('line');
  if (event.target === line && event.key === 'ArrowUp' && last && !line.value) {
    event.preventDefault();
    put(line, last);
  } else if (event.key === '/' && !event.target.closest('input, select, textarea')) {
    event.preventDefault();
    open();
  }
});
