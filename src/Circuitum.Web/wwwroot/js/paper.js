// A page of a PDF as the picture to be traced: it is drawn here, in the page, and goes to the program as a picture like any other.
const mostAcross = 3600;
const library = new URL('../lib/pdf/', import.meta.url).href;

const said = (form, text) => {
  form.querySelector('[data-says]').textContent = text;
};

async function drawn(pdf, number) {
  const page = await pdf.getPage(number);
  const [, , wide, tall] = page.view;
  const viewport = page.getViewport({ scale: mostAcross / Math.max(wide, tall) });
  const canvas = Object.assign(document.createElement('canvas'), {
    width: Math.round(viewport.width),
    height: Math.round(viewport.height),
  });
  await page.render({ canvasContext: canvas.getContext('2d'), canvas, viewport, background: '#ffffff' }).promise;
  return new Promise(done => canvas.toBlob(done, 'image/png'));
}

// What the form sends is the picture of the page that was chosen.
async function take(form, input, pdf, number) {
  said(form, `Drawing page ${number} of ${pdf.numPages}.`);
  const picture = await drawn(pdf, number);
  const files = new DataTransfer();
  files.items.add(new File([picture], `page-${number}.png`, { type: 'image/png' }));
  input.files = files.files;
  said(form, `Page ${number} of ${pdf.numPages} is ready to be laid under.`);
}

async function read(input) {
  const { form } = input;
  const pages = form.querySelector('[data-pages]');
  const button = form.querySelector('button');
  pages.hidden = true;
  said(form, '');
  const [file] = input.files;
  if (!file || !(file.type === 'application/pdf' || file.name.toLowerCase().endsWith('.pdf'))) return;
  button.disabled = true;
  said(form, 'Reading the PDF.');
  try {
    const pdfjs = await import(`${library}pdf.min.mjs`);
    pdfjs.GlobalWorkerOptions.workerSrc = `${library}pdf.worker.min.mjs`;
    const pdf = await pdfjs.getDocument({
      data: await file.arrayBuffer(),
      isEvalSupported: false,
      verbosity: 0,
      useWasm: false,
      wasmUrl: library,
    }).promise;
    const select = pages.querySelector('select');
    select.replaceChildren(...Array.from({ length: Math.min(pdf.numPages, 200) }, (_, i) => new Option(`${i + 1}`, `${i + 1}`)));
    pages.hidden = pdf.numPages < 2;
    select.onchange = () => take(form, input, pdf, Number(select.value));
    await take(form, input, pdf, 1);
  } catch (problem) {
    input.value = '';
    const locked = problem?.name === 'PasswordException';
    said(form, locked ? 'This PDF is locked by a password. Save it without one.' : 'This PDF cannot be read. Save its page as a picture.');
  } finally {
    button.disabled = false;
  }
}

document.addEventListener('change', e => e.target.matches?.('[data-paper-plan]') && read(e.target));

// A picture that was laid under: what can be done with it comes into sight.
if (location.hash === '#picture') document.getElementById('picture')?.scrollIntoView();
