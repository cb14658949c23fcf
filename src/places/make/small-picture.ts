const MOST_BYTES = 30_000_000;
const MOST_PX = 1600;
const QUALITY = 0.85;

/** A picture made small enough to keep many of; null when the file is no picture, or far too large. */
export async function smallPicture(file: File): Promise<Blob | null> {
  if (file.size > MOST_BYTES) return null;
  try {
    const bitmap = await createImageBitmap(file);
    const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return await new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  } catch {
    return null;
  }
}
