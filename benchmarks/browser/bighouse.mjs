// A generated house of 60 rooms and 400 openings, as a job file.
const feet = inches => `${Math.floor(inches / 12)}'${inches % 12}`;

export function bigHouse() {
  const rooms = [],
    openings = [],
    columns = 10,
    width = 156,
    depth = 132,
    gap = 6;
  for (let i = 0; i < 60; i++) {
    const x = (i % columns) * (width + gap),
      y = Math.floor(i / columns) * (depth + gap);
    rooms.push({
      id: `r${i}`,
      name: `Room ${i}`,
      storey: 'first',
      kind: ['bedroom', 'living', 'office', 'den'][i % 4],
      outline: [
        [x, y],
        [x + width, y],
        [x + width, y + depth],
        [x, y + depth],
      ].map(p => p.map(feet)),
    });
  }
  const add = (room, wall, from, w, kind, to) =>
    openings.length < 400 &&
    openings.push({ id: `o${openings.length}`, kind, room: `r${room}`, wall, from: feet(from), width: feet(w), to });
  for (let i = 0; i < 60; i++) {
    const right = i % columns < columns - 1 ? `r${i + 1}` : 'outside',
      below = i + columns < 60 ? `r${i + columns}` : 'outside';
    const doorTo = to => (to === 'outside' ? 'window' : 'hinged');
    add(i, 1, 6, 30, doorTo(right), right);
    add(i, 1, 50, 30, right === 'outside' ? 'window' : 'cased', right);
    add(i, 1, 92, 30, right === 'outside' ? 'window' : 'pocket', right);
    add(i, 2, 6, 30, doorTo(below), below);
    add(i, 2, 60, 30, below === 'outside' ? 'window' : 'cased', below);
    add(i, 2, 110, 30, below === 'outside' ? 'window' : 'pocket', below);
    if (i < columns) [10, 60, 110].forEach(at => add(i, 0, at, 30, 'window', 'outside'));
    if (i % columns === 0) [6, 50].forEach(at => add(i, 3, at, 30, 'window', 'outside'));
  }
  return {
    format: 'circuitum-job',
    version: 1,
    name: 'Big House',
    codeEdition: 'us-2023',
    storeys: [{ id: 'first', name: 'First floor' }],
    rooms,
    openings,
    panels: [{ id: 'main', name: 'Main panel', room: 'r0', wall: 0, along: feet(47), breakerFamily: 'A' }],
  };
}
