import { newProject, pictureSchema, stockPaper, millimetres } from '@rangoli/core';
import fc from 'fast-check';
import sharp, { type Sharp } from 'sharp';
import { describe, expect, it } from 'vitest';
import { eachServed, problemOf } from '../testing/served.ts';
import { PictureStore } from './index.ts';

const served = eachServed();

function at(): string {
  return served.now().origin.replace('/projects', '/pictures');
}

async function put(file: Uint8Array<ArrayBuffer>, name = 'trails.png'): Promise<Response> {
  const form = new FormData();
  form.set('picture', new Blob([file]), name);
  return fetch(at(), { method: 'POST', headers: { 'x-rangoli': 'test' }, body: form });
}

async function countKept(): Promise<number> {
  const rows: unknown = await served.now().database('pictures').select('id');
  return Array.isArray(rows) ? rows.length : -1;
}

/** A picture whose left half is red and whose right half is blue. */
async function halves(width: number, height: number): Promise<Sharp> {
  const left = await sharp({
    create: { width: Math.ceil(width / 2), height, channels: 3, background: '#ff0000' },
  })
    .png()
    .toBuffer();
  return sharp({ create: { width, height, channels: 3, background: '#0000ff' } })
    .composite([{ input: left, left: 0, top: 0 }])
    .withExif({ IFD0: { Copyright: 'somebody' } });
}

function whole(buffer: Buffer): Uint8Array<ArrayBuffer> {
  return new Uint8Array(buffer);
}

describe('pictures of prints', () => {
  it('are kept drawn anew, no larger than is needed, with nothing else that was in the file', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.record({
          kind: fc.constantFrom('png' as const, 'jpeg' as const, 'webp' as const),
          width: fc.integer({ min: 8, max: 2400 }),
          height: fc.integer({ min: 8, max: 2400 }),
        }),
        async ({ kind, width, height }) => {
          const file = await (await halves(width, height)).toFormat(kind).toBuffer();
          const response = await put(whole(file));
          expect(response.status).toBe(201);
          const kept = pictureSchema.parse(await response.json());
          expect(Math.max(kept.width, kept.height)).toBe(Math.min(1600, Math.max(width, height)));
          expect(Math.abs(kept.width / kept.height / (width / height) - 1)).toBeLessThan(
            0.6 / Math.min(kept.width, kept.height) + 0.001,
          );
          const seen = await fetch(`${at()}/${kept.id}`);
          expect(seen.headers.get('content-type')).toBe('image/webp');
          expect(seen.headers.get('cache-control')).toContain('immutable');
          const bytes = Buffer.from(await seen.arrayBuffer());
          expect(bytes.includes('somebody')).toBe(false);
          const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
          const dot = (x: number) => {
            const from = (Math.floor(info.height / 2) * info.width + x) * info.channels;
            return [data[from] ?? 0, data[from + 2] ?? 0];
          };
          const [red = 0, notRed = 0] = dot(0);
          const [notBlue = 0, blue = 0] = dot(info.width - 1);
          expect(red - notRed).toBeGreaterThan(100);
          expect(blue - notBlue).toBeGreaterThan(100);
          // Put in again, it is the same one.
          const before = await countKept();
          expect(pictureSchema.parse(await (await put(whole(file))).json())).toEqual(kept);
          expect(await countKept()).toBe(before);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('are refused in a sentence that says what would do, and nothing is kept', async () => {
    const good = await (await halves(600, 400)).png().toBuffer();
    const vast = await sharp({
      create: { width: 12_500, height: 8_000, channels: 3, background: '#203060' },
    })
      .png()
      .toBuffer();
    const moving = await sharp(good).gif().toBuffer();
    const drawn = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
    const tiny = await (await halves(4, 400)).png().toBuffer();
    const cases: readonly (readonly [Buffer, number, RegExp])[] = [
      [Buffer.from('a list of gifts, and no picture'), 422, /no picture.*PNG, JPEG or WebP/],
      [drawn, 422, /PNG, JPEG or WebP/],
      [moving, 422, /GIF file.*PNG, JPEG or WebP/],
      [good.subarray(0, good.length / 2), 422, /broken/],
      [Buffer.concat([good.subarray(0, 60), Buffer.alloc(400, 7)]), 422, /broken/],
      [vast, 422, /12500 × 8000 dots, 100 megapixels; the most is 40/],
      [tiny, 422, /8 × 8/],
      [Buffer.concat([good, Buffer.alloc(21 * 1024 * 1024)]), 413, /over 20 MB/],
      [Buffer.alloc(0), 422, /Choose a file/],
    ];
    for (const [file, status, said] of cases) {
      const response = await put(whole(file));
      expect(response.status).toBe(status);
      expect((await problemOf(response)).detail).toMatch(said);
    }
    const none = await served.now().send('POST', '', {}, at());
    expect(none.status).toBe(422);
    expect((await problemOf(none)).detail).toContain('Choose a file');
    expect(await countKept()).toBe(0);
    for (const id of ['x', 'a'.repeat(64), '../../etc']) {
      const response = await fetch(`${at()}/${encodeURIComponent(id)}`);
      expect(response.status).toBe(404);
      await problemOf(response);
    }
  }, 60_000);

  it('are let go of once nothing shows them for long enough, and not before', async () => {
    const kept = await Promise.all(
      [40, 60, 80].map(async (width) => {
        const file = await (await halves(width, 50)).png().toBuffer();
        return pictureSchema.parse(await (await put(whole(file))).json());
      }),
    );
    const [shown, onPaper] = kept;
    if (!shown || !onPaper) throw new Error('They are kept');
    const print = { kind: 'picture' as const, picture: shown, across: millimetres(90) };
    const document = newProject('mm');
    const paper = { ...stockPaper('orbits'), front: print };
    const box = { ...document.box, papers: [paper] };
    const made = await served.now().send('POST', '', { document: { ...document, box } });
    expect(made.status).toBe(201);
    await served
      .now()
      .database('items')
      .insert({
        collection: 'papers',
        id: 'own',
        revision: 1,
        value: JSON.stringify({ front: { ...print, picture: onPaper } }),
        created_at: '',
        updated_at: '',
      });
    const day = 24 * 60 * 60 * 1000;
    const later = (days: number) =>
      new PictureStore(served.now().database, () => new Date(Date.now() + days * day));
    expect(await later(50).forgetUnused()).toBe(0);
    expect(await countKept()).toBe(3);
    expect(await later(70).forgetUnused()).toBe(1);
    expect(await later(0).read(shown.id)).toBeDefined();
    expect(await later(0).read(onPaper.id)).toBeDefined();
  });
});
