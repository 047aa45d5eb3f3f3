const LONGEST_SIDE = 1600;
const SMALL_ENOUGH_BYTES = 400_000;
const QUALITY = 0.85;

/** A photo made small enough for a poor signal. The server looks at it again, and trusts nothing of this. */
export async function shrunk(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file);
  if (file.size <= SMALL_ENOUGH_BYTES) {
    picture.close();
    return file;
  }
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (small) => {
        if (small === null) {
          reject(new Error('the picture could not be drawn'));
        } else {
          resolve(small);
        }
      },
      'image/jpeg',
      QUALITY,
    );
  });
}
