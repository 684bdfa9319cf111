import {
  alikeGifts,
  extentsOf,
  frontierOf,
  furthest,
  planRequestSchema,
  squareGifts,
} from '@rangoli/core';
import { z } from 'zod';
import type { Limits } from './limits.ts';

/* Looks for the limits of a sheet beside the page, so that dragging never waits for it. */

const askedSchema = z.object({ turn: z.int(), request: planRequestSchema });

addEventListener('message', (event: MessageEvent<unknown>) => {
  const { turn, request } = askedSchema.parse(event.data);
  const { gift } = request;
  const alike = alikeGifts(gift);
  const limits: Limits = {
    alike: frontierOf(request, alike),
    square: frontierOf(request, squareGifts()),
    furthest: furthest(request, alike, extentsOf(gift)),
  };
  postMessage({ turn, limits });
});
