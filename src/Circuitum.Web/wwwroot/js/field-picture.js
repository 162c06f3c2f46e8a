// A picture as it is kept and sent: no larger than it is looked at, drawn anew, so that where and with what it was taken is not in it.
const largest = 1600;

export async function smaller(file) {
  let picture;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return null;
  }
  const scale = Math.min(1, largest / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise(done => canvas.toBlob(done, 'image/jpeg', 0.8));
}
