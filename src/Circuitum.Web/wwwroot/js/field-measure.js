// Two touches on a picture are a line; with a scale it tells how long that is.
const box = document.querySelector('[data-measure]');
const line = box.querySelector('line');
const says = document.querySelector('[data-measured]');
const inches = Number(box.dataset.inches || 0);
let from = null;

function words(length) {
  if (box.dataset.metric) {
    const millimetres = Math.round((length * 25.4) / 5) * 5;
    return millimetres < 1000 ? `${millimetres} mm` : `${(millimetres / 1000).toFixed(2)} m`;
  }
  const quarters = Math.round(length * 4);
  const [feet, rest] = [Math.floor(quarters / 48), quarters % 48];
  const whole = Math.floor(rest / 4);
  const part = ['', ' 1/4', ' 1/2', ' 3/4'][rest % 4];
  return `${feet > 0 ? `${feet}'-` : ''}${whole}${part}"`;
}

box.addEventListener('click', e => {
  const frame = box.getBoundingClientRect();
  const scale = Number(box.dataset.wide) / frame.width;
  const at = [(e.clientX - frame.left) * scale, (e.clientY - frame.top) * scale];
  if (from === null) {
    from = at;
    for (const [name, value] of [
      ['x1', at[0]],
      ['y1', at[1]],
      ['x2', at[0]],
      ['y2', at[1]],
    ])
      line.setAttribute(name, value);
    return;
  }
  line.setAttribute('x2', at[0]);
  line.setAttribute('y2', at[1]);
  const pixels = Math.hypot(at[0] - from[0], at[1] - from[1]);
  from = null;
  document.querySelector('[name="pixels"]').value = pixels.toFixed(2);
  says.textContent = inches ? `About ${words(pixels * inches)}.` : 'How far apart are they? Type it below.';
});
