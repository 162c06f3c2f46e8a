// One gesture at a time, from hand down to hand up, with one owner: the first of the hands that takes what the pointer is on.
//
// A hand has take(e): what it holds, or null; and for what it holds follow(e, held), press(e, held) for a click that moved nothing,
// drop(e, held), and letBe(held), after Escape or when the pointer is lost. held.from is where it began, on the screen.
const leastMove = 5;
let gesture = null;

export function hands(...all) {
  document.addEventListener('pointerdown', e => {
    if (e.button !== 0) return;
    if (gesture) letBe();
    for (const hand of all) {
      const held = hand.take(e);
      if (!held) continue;
      gesture = { hand, held: Object.assign(held, { from: [e.clientX, e.clientY] }), moved: false };
      return;
    }
  });
}

// Whether the hand still holds it: what was asked of the program meanwhile may come too late.
export const holds = held => gesture?.held === held;

document.addEventListener('pointermove', e => {
  if (!gesture) return;
  const { hand, held } = gesture;
  const [x, y] = held.from;
  gesture.moved ||= Math.hypot(e.clientX - x, e.clientY - y) >= leastMove;
  if (gesture.moved) hand.follow(e, held);
});

document.addEventListener('pointerup', e => {
  if (!gesture) return;
  const { hand, held, moved } = gesture;
  gesture = null;
  if (moved) hand.drop(e, held);
  else hand.press(e, held);
});

function letBe() {
  const { hand, held } = gesture;
  gesture = null;
  hand.letBe(held);
}

document.addEventListener('pointercancel', () => gesture && letBe());

// It ends the gesture and nothing else.
document.addEventListener(
  'keydown',
  e => {
    if (e.key !== 'Escape' || !gesture?.moved) return;
    e.stopPropagation();
    letBe();
  },
  true,
);
