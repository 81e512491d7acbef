// One line of shorthand: a choice is put into the line, arrow up brings back what was written last, / leads to it from anywhere.
let last = '';

const put = (line, words) => {
  line.value = words;
  line.dispatchEvent(new Event('input', { bubbles: true }));
  line.focus();
};

document.addEventListener('click', (event) => {
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
    if (line) line.focus();
    else document.querySelector('a[href$="/jot"]')?.click();
  }
});
