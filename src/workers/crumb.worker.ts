import type { Mark } from '@/core/photo';
import { crumbFigures, mended, readCrumb, WORK_PX, type ReadSlice } from '@/core/photo/readCrumb';
import { ok, refuse } from '@/core/result';
import type { CrumbAnswer, CrumbQuestion } from './crumbProtocol';

/** What was found in the picture that was read last: mends go over it. */
let found: ReadSlice | null = null;

function shown(marks: readonly Mark[]): CrumbAnswer['read'] {
  const figures = found && crumbFigures(found, marks);
  return found && figures ? ok({ figures, holes: mended(found, marks).holes }) : refuse('noSlice');
}

/** The picture at the size it is read at: the browser makes it smaller while it decodes it. */
async function pixels(picture: Blob): Promise<ImageData> {
  const whole = await createImageBitmap(picture);
  const factor = Math.min(1, WORK_PX / Math.max(whole.width, whole.height));
  const [width, height] = [Math.round(whole.width * factor), Math.round(whole.height * factor)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('No canvas');
  context.imageSmoothingQuality = 'high';
  context.drawImage(whole, 0, 0, width, height);
  whole.close();
  return context.getImageData(0, 0, width, height);
}

async function answer(question: CrumbQuestion): Promise<CrumbAnswer['read']> {
  if (question.kind === 'mend') return shown(question.marks);
  found = null;
  try {
    const { width, height, data } = await pixels(question.picture);
    const reading = readCrumb({ width, height, rgba: data });
    if (!reading.ok) return reading;
    ({ found } = reading.value);
  } catch {
    return refuse('noPhoto', '', { why: 'broken' });
  }
  return shown(question.marks);
}

/** One after the other: a mend is of the picture before it. */
let before: Promise<unknown> = Promise.resolve();
addEventListener('message', ({ data }: MessageEvent<CrumbQuestion>) => {
  before = before.then(async () => {
    postMessage({ id: data.id, read: await answer(data) } satisfies CrumbAnswer);
  });
});
