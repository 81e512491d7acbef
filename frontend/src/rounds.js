// Arrows walk through Rounds; Enter does the row that has the focus, as for any button.
document.addEventListener('keydown', (event) => {
  if (!['ArrowDown', 'ArrowUp'].includes(event.key) || event.target.closest('select, input, textarea')) return;
  const rows = [...document.querySelectorAll('.rounds .tap, .rounds .number input')].filter((row) => row.offsetParent);
  const at = rows.indexOf(document.activeElement);
  if (at < 0) return;
  event.preventDefault();
  rows[(at + (event.key === 'ArrowDown' ? 1 : rows.length - 1)) % rows.length].focus();
});
