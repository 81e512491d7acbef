// Where the browser is sure whom it speaks to, what was last seen is kept for when the network is away (worker.js).
if (location.protocol === 'https:' && 'serviceWorker' in navigator) {
  navigator.serviceWorker.register('/sw.js', { updateViaCache: 'none' }).catch(() => { /* a certificate nobody trusts yet: see /trust */ });
}

// The network is back: what stands here is old, and what was typed into it is not thrown away for that.
const LOOK_AGAIN = 5000;
setInterval(async () => {
  const seen = document.getElementById('seen');
  if (!seen || seen.dataset.back || document.hidden) return;
  try {
    if (!(await fetch('/actuator/health/liveness', { cache: 'no-store' })).ok) return;
  } catch {
    return;
  }
  seen.dataset.back = 'yes';
  const link = document.createElement('a');
  link.href = location.href;
  link.textContent = 'The network is back: see it as it is now';
  link.setAttribute('hx-boost', 'false');
  seen.append(' ', link);
}, LOOK_AGAIN);
