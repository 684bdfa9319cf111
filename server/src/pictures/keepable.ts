import { createHash } from 'node:crypto';
import { largestPicture, type Picture } from '@rangoli/core';
import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';
import { HttpProblem } from '../http/index.ts';
import { leastSide, mostMegapixels } from './picture-limits.ts';

/** A picture as it is kept: drawn anew from its dots, so that nothing else of the file stays. */
export interface KeepablePicture extends Picture {
  readonly bytes: Buffer;
}

const kinds: ReadonlySet<string> = new Set(['image/png', 'image/jpeg', 'image/webp']);

/** How a kept picture is encoded. */
export const keptType = 'image/webp';
const quality = 84;

function refuse(detail: string): never {
  throw new HttpProblem('bad-picture', detail);
}

/** @throws HttpProblem for a file that is no picture of a kind that is taken. */
async function checkKind(file: Buffer): Promise<void> {
  const found = await fileTypeFromBuffer(file);
  if (found && kinds.has(found.mime)) return;
  refuse(
    found?.mime.startsWith('image/')
      ? `This picture is a ${found.ext.toUpperCase()} file. Save it as PNG, JPEG or WebP, and choose that.`
      : 'This file is no picture. Choose a PNG, JPEG or WebP file.',
  );
}

/** @throws HttpProblem for a picture that has too many dots or too few. */
async function checkSize(file: Buffer): Promise<void> {
  const { width, height } = await sharp(file, { limitInputPixels: false })
    .metadata()
    .catch(() => refuse(broken));
  const million = (width * height) / 1e6;
  if (million > mostMegapixels)
    refuse(
      `This picture is ${width} × ${height} dots, ${Math.ceil(million)} megapixels; the most is ${mostMegapixels}. Save it smaller, and choose that.`,
    );
  if (Math.min(width, height) < leastSide)
    refuse(
      `This picture is ${width} × ${height} dots. Choose one of ${leastSide} × ${leastSide} at the least.`,
    );
}

const broken =
  'This picture is broken: it can’t be read to its end. Open it in another program, save it again, and choose that.';

/**
 * A picture out of an uploaded file: checked by what is in it, turned as it is meant to be seen, made no larger than
 * is drawn, and encoded anew.
 * @throws HttpProblem in a sentence that says what would do.
 */
export async function keepablePicture(file: Buffer): Promise<KeepablePicture> {
  await checkKind(file);
  await checkSize(file);
  const { data, info } = await sharp(file, {
    failOn: 'error',
    limitInputPixels: mostMegapixels * 1e6,
  })
    .autoOrient()
    .resize({
      width: largestPicture,
      height: largestPicture,
      fit: 'inside',
      withoutEnlargement: true,
    })
    .toColourspace('srgb')
    .webp({ quality })
    .toBuffer({ resolveWithObject: true })
    .catch(() => refuse(broken));
  const id = createHash('sha256').update(data).digest('hex');
  return { id, width: info.width, height: info.height, bytes: data };
}
