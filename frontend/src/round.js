// The round from jar to jar: arrows or a swipe lead to the next, w and x press its two buttons, 1 to 6 open what was seen.
const SWIPE = 60;

const walk = () => document.getElementById('walk');
const go = (step) => {
  const to = walk()?.dataset[step];
  if (to) document.querySelector(`.walk-on a[rel="${step === 'next' ? 'next' : 'prev'}"]`)?.click();
};

document.addEventListener('keydown', (event) => {
  if (!walk() || event.ctrlKey || event.metaKey || event.altKey || event.target.closest('input, select, textarea')) return;
  if (event.key === 'ArrowRight') go('next');
  else if (event.key === 'ArrowLeft') go('before');
  else if ('123456'.includes(event.key)) {
    const seen = walk().querySelector(`summary[data-at="${event.key}"]`);
    seen?.click();
    seen?.focus();
  } else {
    const button = walk().querySelector(`button[data-key="${CSS.escape(event.key)}"]`);
    if (!button?.offsetParent) return;
    button.click();
  }
  event.preventDefault();
});

let from = null;
document.addEventListener('touchstart', (event) => {
  from = event.touches.length === 1 && event.target.closest('#walk') ? event.touches[0] : null;
}, { passive: true });
document.addEventListener('touchend', (event) => {
  if (!from || !event.changedTouches.length) return;
  const over = event.changedTouches[0].clientX - from.clientX;
  const down = event.changedTouches[0].clientY - from.clientY;
  if (Math.abs(over) > SWIPE && Math.abs(over) > 2 * Math.abs(down)) go(over < 0 ? 'next' : 'before');
  from = null;
}, { passive: true });
