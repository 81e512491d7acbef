// A field that asks for a weight takes what lies on the scale by one tap, where a scale spoke within the last minute.
const WEIGHS = 'input[hx-get*="expect=SOLID"], input[hx-get*="expect=LIQUID"], input.blank[name=amount], input.blank[name=oil], '
  + 'input.blank[name^="more["][name$=".amount"], form[action$="/weigh"] input[name=mass]';
let none = 0;

const offer = async (field) => {
  if (Date.now() < none) return;
  const answer = await fetch('/scale', { credentials: 'same-origin', headers: { Accept: 'application/json' } }).catch(() => null);
  if (!answer || answer.status !== 200 || answer.redirected) {
    none = Date.now() + 20000;
    return;
  }
  const { typed, words } = await answer.json();
  document.querySelectorAll('.from-scale').forEach((old) => old.remove());
  if (document.activeElement !== field || field.value === typed) return;
  const chip = document.createElement('button');
  chip.type = 'button';
  chip.className = 'from-scale quiet';
  chip.dataset.fill = typed;
  chip.dataset.into = field.id;
  chip.textContent = words;
  field.after(chip);
};
document.addEventListener('focusin', (event) => {
  if (event.target.matches?.(WEIGHS) && event.target.id) offer(event.target);
});
document.addEventListener('click', (event) => {
  const chip = event.target.closest?.('.from-scale');
  if (chip) setTimeout(() => chip.remove(), 0);
});
