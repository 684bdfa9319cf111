import { dot } from '../fold/index.ts';
import {
  checkFolding,
  closedFaces,
  foldingBox,
  measureGap,
  outermostPoints,
  paperFor,
  papersOf,
  vector,
  type FoldFault,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';

const axes = { across: vector(1, 0, 0), deep: vector(0, 1, 0), high: vector(0, 0, 1) };

/** Everything about the folded box that doesn't hold: its folding, and every gap measured in space. */
export function faultsInSpace(plan: Plan, request: PlanRequest): readonly string[] {
  const box = foldingBox(
    plan.pieces,
    ({ paper }) => paperFor(papersOf(request), paper).thickness,
    plan.assembly,
  );
  const partsOf = (piece: string) =>
    box.parts.filter((part) => part.piece.id === piece).map(({ part }) => part.id);
  /** Parts with those that are glued inside them. */
  const withLining = (parts: readonly string[]) => [
    ...parts,
    ...plan.assembly.stacks.flatMap(({ face, on, side, holds }) =>
      parts.includes(on.part) &&
      face.part !== on.part &&
      side === 'inside' &&
      holds === 'glue' &&
      !plan.assembly.parts.some(({ id, worn }) => worn && id === face.part)
        ? [face.part]
        : [],
    ),
  ];
  // What ends below a lid is not under it; a band that lies on that is, where the lid comes down as far.
  const bands = plan.assembly.parts.filter(({ wraps }) => wraps === 'under lid');
  const isCounted = (id: string) =>
    request.additions.some(
      (each) =>
        each.addition === 'panel' && id.startsWith(`${each.id} `) && each.underCover === 'counted',
    );
  const faces = closedFaces(box);
  // The panel of the next wall is beside a handle, and not under it.
  const looksAlong = (id: string, axis: Vector) =>
    faces.some(({ part, out }) => part === id && Math.abs(dot(out, axis)) > 0.99);
  const heightsOf = (parts: readonly string[]) =>
    faces.filter(({ part }) => parts.includes(part)).flatMap(({ ring }) => ring.map(({ z }) => z));
  /** Parts with what they wear outside. */
  const withWorn = (parts: readonly string[]) => [
    ...parts,
    ...plan.assembly.parts.flatMap(({ id, worn }) =>
      worn && parts.includes(worn.part) ? [id] : [],
    ),
  ];
  const bandsUnder = ({ kind, outer }: Plan['pairs'][number]) => {
    if (kind !== 'lid') return [];
    const edge = Math.min(...heightsOf(partsOf(outer)));
    return bands.map(({ id }) => id).filter((id) => Math.max(...heightsOf([id])) > edge);
  };
  const gaps = plan.pairs.flatMap((pair) => {
    const { outer, inner, fits } = pair;
    return fits.flatMap(({ direction, gap }): readonly string[] => {
      // A piece that closes on itself is proven by nothing going through anything.
      const [part] = partsOf(outer);
      if (outer === inner || part === undefined) return [];
      // What a part of its own that is too long pushes apart measures more than its walls.
      const isPushed = plan.pairs.some(
        (each) => each.outer === inner && each.inner === inner && each.state === 'tight',
      );
      if (isPushed) return [];
      const inners = [
        ...partsOf(inner),
        ...withWorn(partsOf(inner)).filter(
          (id) => isCounted(id) && looksAlong(id, axes[direction]),
        ),
        ...(direction === 'high' ? [] : bandsUnder(pair)),
      ];
      const outers = withLining([part]).filter((each) => !inners.includes(each));
      const measured = measureGap(box, outers, inners, axes[direction]);
      // A tube that is open above and below has no height to measure.
      if (!Number.isFinite(measured)) return [];
      const off = Math.abs(measured - gap / 1_000_000);
      // What jams by more than its card stands on the other side of what it jams on, where nothing is measured.
      const isBeyond = gap < 0 && Math.abs(measured) < 2e-3;
      return off > 2e-3 && !isBeyond
        ? [`gap of ${outer} over ${inner}, ${direction}: ${measured.toFixed(3)} mm, planned ${gap}`]
        : [];
    });
  });
  // What is planned to jam, because the maker asked to err on that side, goes through its partner, and where
  // the jam is large one of the two stands in the gift's room; nothing else may.
  const tight = plan.pairs.filter(({ state }) => state === 'tight');
  const jams = tight.flatMap((pair) => [
    {
      over: withWorn(withLining(partsOf(pair.outer))),
      under: [...withWorn(partsOf(pair.inner)), ...bandsUnder(pair)],
    },
    // What is forced through its cover meets what goes over that.
    ...plan.pairs
      .filter((next) => next.inner === pair.outer)
      .map((next) => ({
        over: withWorn(partsOf(next.outer)),
        under: withWorn(partsOf(pair.inner)),
      })),
  ]);
  // What lies inside of walls that are pushed in or forced out is pressed by them.
  const isPressed = (parts: readonly string[]) =>
    tight.length > 0 &&
    parts.some((part) => plan.assembly.parts.some(({ id, lies }) => id === part && lies));
  const isPlanned = ({ inTheWay: parts = [] }: FoldFault) =>
    isPressed(parts) ||
    jams.some(
      ({ over, under }) =>
        parts.length > 0 &&
        parts.every((part) => over.includes(part) || under.includes(part)) &&
        (parts.length === 1 ||
          (parts.some((part) => over.includes(part)) &&
            parts.some((part) => under.includes(part)))),
    );
  // A wall that is glued to what it jams in is pulled off its fold.
  const isPulled = ({ message }: FoldFault) =>
    jams.some(({ under }) => under.some((part) => message.startsWith(`${part} face`))) &&
    message.includes('torn');
  const faults = checkFolding(box, outermostPoints(plan.gift)).filter(
    (fault) => !isPlanned(fault) && !isPulled(fault),
  );
  return [...faults.map(({ message }) => message), ...gaps];
}
