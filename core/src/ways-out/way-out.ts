import type { PlanRequest } from '../request/index.ts';

/** What a way out changes. */
export type WayOutKind =
  'option' | 'sheet' | 'turn' | 'room' | 'tools' | 'lean' | 'gift' | 'dress' | 'other kind';

/** A change of a request that can't be planned, with which it can. */
export interface WayOut {
  readonly kind: WayOutKind;
  /** What a button says: `Lay it down`. */
  readonly said: string;
  /** What becomes otherwise in the request. */
  readonly part: Partial<PlanRequest>;
  /** How many such boxes take the place of one, where it is not one. */
  readonly boxes?: number;
}
