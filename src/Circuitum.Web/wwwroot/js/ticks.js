// Ticks of a list, kept on this device for as long as the list is the same.
function keepTicks(list) {
  const key = `ticks ${list.dataset.ticks}`;
  const boxes = [...list.querySelectorAll('[data-tick]')];
  const left = list.querySelector('[data-left]');
  let ticked = new Set();
  try {
    ticked = new Set(JSON.parse(localStorage.getItem(key) ?? '[]'));
  } catch {
    // What cannot be read is as good as nothing ticked.
  }
  const tell = () => {
    const open = boxes.filter(b => !b.checked).length;
    left.textContent = open === 0 ? 'All of it is in.' : `${boxes.length - open} of ${boxes.length} in.`;
  };
  for (const box of boxes) {
    box.checked = ticked.has(box.dataset.tick);
    box.addEventListener('change', () => {
      if (box.checked) ticked.add(box.dataset.tick);
      else ticked.delete(box.dataset.tick);
      localStorage.setItem(key, JSON.stringify([...ticked]));
      tell();
    });
  }
  list.querySelector('[data-untick]')?.addEventListener('click', () => {
    for (const box of boxes) box.checked = false;
    ticked.clear();
    localStorage.removeItem(key);
    tell();
  });
  tell();
}

const list = document.querySelector('[data-ticks]');
if (list) keepTicks(list);
