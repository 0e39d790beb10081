import sharp from 'sharp';
import { testSlice } from '../../src/core/photo/testSlices';

/** A made-up slice as a camera would write it. */
export async function cutPhoto(): Promise<Buffer> {
  const { width, height, rgba } = testSlice('plain', 5, 480).picture;
  return sharp(rgba, { raw: { width, height, channels: 4 } })
    .resize(1600)
    .jpeg()
    .toBuffer();
}
