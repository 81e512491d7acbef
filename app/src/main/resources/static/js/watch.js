// The watch: the tab tells the temperature, the screen stays awake, and where that was allowed a sound calls before the ceiling and at the end.
const ALLOWED = 'crock-sound';
let audio = null;
let said = '';
let rung = null;
let awake = null;

const allowed = () => localStorage.getItem(ALLOWED) === 'yes';
const call = (times, pitch) => {
  navigator.vibrate?.(Array.from({ length: times * 2 }, (_, i) => (i % 2 ? 150 : 350)));
  document.body.dataset.called = String(Number(document.body.dataset.called ?? 0) + 1);
  if (!audio) return;
  for (let i = 0; i < times; i++) {
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = pitch;
    gain.gain.setValueAtTime(0.25, audio.currentTime + i * 0.5);
    gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + i * 0.5 + 0.4);
    tone.connect(gain).connect(audio.destination);
    tone.start(audio.currentTime + i * 0.5);
    tone.stop(audio.currentTime + i * 0.5 + 0.42);
  }
};
const stayAwake = async () => {
  if (awake || document.hidden || !navigator.wakeLock) return;
  try {
    awake = await navigator.wakeLock.request('screen');
    awake.addEventListener('release', () => { awake = null; });
  } catch { /* a device that saves its battery says no */ }
};
const look = () => {
  const watch = document.getElementById('watch');
  if (!watch) {
    awake?.release();
    said = '';
    return;
  }
  document.title = watch.dataset.title.replace(/\s+/g, ' ');
  const button = document.getElementById('sound');
  button.hidden = false;
  button.setAttribute('aria-pressed', String(allowed()));
  button.textContent = allowed() ? 'Sound is on' : 'Sound when it must be';
  stayAwake();
  const sound = watch.dataset.sound ?? '';
  if (allowed() && sound && sound !== said) call(sound === 'done' ? 2 : 4, sound === 'done' ? 660 : 880);
  said = sound;
  const finish = Number(watch.dataset.finish ?? 0);
  const which = `${watch.dataset.live ?? ''}:${finish}`;
  if (allowed() && finish && finish <= Date.now() && finish > Date.now() - 60000 && rung !== which) {
    rung = which;
    call(2, 660);
  }
};
document.addEventListener('click', (event) => {
  if (event.target.id !== 'sound') return;
  const on = !allowed();
  localStorage.setItem(ALLOWED, on ? 'yes' : 'no');
  audio = on ? audio ?? new AudioContext() : null;
  audio?.resume();
  if (on) call(1, 660);
  look();
});
// A page that was opened anew may sound only after a first touch.
document.addEventListener('pointerdown', () => { if (allowed() && !audio && document.getElementById('watch')) audio = new AudioContext(); });
document.addEventListener('visibilitychange', look);
document.addEventListener('crock:moved', look);
document.addEventListener('htmx:afterSettle', (event) => { if (event.target === document.body) look(); });
document.addEventListener('DOMContentLoaded', look);
setInterval(look, 10000);
look();
