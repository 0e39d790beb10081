import { isPicture, PHOTO_LIMITS, sniff, SNIFF_BYTES } from '@/core/photo';
import { ok, refuse, type Result } from '@/core/result';

/**
 * A file as it is sent: drawn by the browser, upright and no larger than it is saved, so that a phone sends a tenth of what its camera
 * wrote. What the browser cannot draw goes as it is if the server can; else it is said what it is.
 */
export async function readyPhoto(file: Blob): Promise<Result<Blob>> {
  const kind = sniff(new Uint8Array(await file.slice(0, SNIFF_BYTES).arrayBuffer()));
  try {
    const drawn = await drawnAnew(file);
    if (drawn) return ok(drawn);
  } catch {
    // not one that this browser reads
  }
  if (!isPicture(kind)) return refuse('noPhoto', '', { why: kind });
  if (file.size > PHOTO_LIMITS.bytes) return refuse('noPhoto', '', { why: 'large' });
  return ok(file.slice(0, file.size, `image/${kind}`));
}

async function drawnAnew(file: Blob): Promise<Blob | null> {
  const whole = await createImageBitmap(file);
  const factor = Math.min(1, PHOTO_LIMITS.sidePx.max / Math.max(whole.width, whole.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(whole.width * factor);
  canvas.height = Math.round(whole.height * factor);
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(whole, 0, 0, canvas.width, canvas.height);
  whole.close();
  return new Promise((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.9));
}
