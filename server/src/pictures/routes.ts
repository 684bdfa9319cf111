import { pictureIdSchema } from '@rangoli/core';
import { Router, type RequestHandler } from 'express';
import multer, { MulterError } from 'multer';
import { HttpProblem } from '../http/index.ts';
import { keepablePicture, keptType } from './keepable.ts';
import { largestFile, mostPictures, mostRoom } from './picture-limits.ts';
import type { PictureStore } from './store.ts';

/** The field of the form that a picture comes in. */
export const pictureField = 'picture';

const read = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: largestFile.bytes, files: 1, fields: 0, parts: 1 },
}).single(pictureField);

/** Takes the file of a form; what is wrong with the form is said as everywhere else. */
const takeFile: RequestHandler = (request, response, next) => {
  read(request, response, (error: unknown) => {
    if (error instanceof MulterError)
      next(
        error.code === 'LIMIT_FILE_SIZE'
          ? new HttpProblem(
              'too-large',
              `The file is over ${largestFile.said}. Save the picture smaller, and choose that.`,
            )
          : new HttpProblem(
              'bad-picture',
              `Send one file and nothing else, in the field “${pictureField}” of a form.`,
            ),
      );
    else if (error)
      next(new HttpProblem('bad-picture', 'The picture didn’t come whole. Choose it once more.'));
    else next();
  });
};

/** Pictures over HTTP: put one in, and see it. */
export function pictureRoutes(store: PictureStore): Router {
  const router = Router();

  router.post('/', takeFile, async (request, response) => {
    const { file } = request;
    if (!file || file.buffer.length === 0)
      throw new HttpProblem('bad-picture', 'There is no picture in it. Choose a file.');
    const kept = await store.keep(await keepablePicture(file.buffer));
    if (kept === 'full')
      throw new HttpProblem(
        'no-room',
        `${mostPictures} pictures of ${mostRoom.said} together are kept at the most. Take one off a paper that you no longer use; it is let go of after two months.`,
      );
    response.status(201).json(kept);
  });

  router.get('/:id', async (request, response) => {
    const id = pictureIdSchema.safeParse(request.params.id);
    const bytes = id.success ? await store.read(id.data) : undefined;
    if (!bytes) throw new HttpProblem('not-found', 'There is no such picture.');
    // It is named after what is in it: it is never another one.
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(keptType)
      .send(bytes);
  });

  return router;
}
