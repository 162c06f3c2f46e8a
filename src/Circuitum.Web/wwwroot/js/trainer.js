// The score of a person, kept on this device: each question counts once, as it was first answered.
const key = 'trainer';
const read = () => {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}');
  } catch {
    return {};
  }
};
const scores = read();
const earned = document.querySelector('[data-earned]');
if (earned && scores[earned.dataset.number] === undefined) {
  scores[earned.dataset.number] = Number(earned.dataset.earned);
  localStorage.setItem(key, JSON.stringify(scores));
}
const all = Object.values(scores);
const sum = all.reduce((a, b) => a + b, 0);
document.querySelector('[data-score]').textContent =
  all.length === 0
    ? ''
    : `${Math.round((100 * sum) / all.length)} of 100 over ${all.length} ${all.length === 1 ? 'question' : 'questions'}.`;
