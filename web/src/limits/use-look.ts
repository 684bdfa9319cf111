import {
  squareGifts,
  type FrontierPoint,
  type Gift,
  type Length,
  type PlanRequest,
} from '@rangoli/core';
import { computed, shallowRef, watch, type Ref } from 'vue';
import { planner, searcher } from '../planner/planner.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';

/** What is looked at in place of the box’s own. */
type Look = Partial<Pick<PlanRequest, 'style' | 'papers' | 'gift'>>;

/** How far a gift is dragged; all of a drag stretches the gift that it began with. */
interface Drag {
  readonly request: PlanRequest;
  readonly from: Gift;
  readonly to: { readonly across: Length; readonly high: Length };
}

/**
 * A look at a box with another gift, of another kind or from other sheets. Nothing of the box itself changes by it.
 * `mark` is the step of the ruler on which gifts are stretched.
 */
export function useLook(own: Readonly<Ref<PlanRequest | undefined>>, mark: Readonly<Ref<Length>>) {
  const look = shallowRef<Look>({});
  const isLook = computed(() => Object.keys(look.value).length > 0);
  /** The box as it is looked at: nothing of it is made, and it goes by its gift. */
  const request = computed((): PlanRequest | undefined =>
    own.value && isLook.value
      ? { ...own.value, ...look.value, made: [], finished: undefined }
      : own.value,
  );

  function lookAt(part: Look): void {
    look.value = { ...look.value, ...part };
  }

  const drag = shallowRef<Drag>();
  const isHeld = shallowRef(false);
  const { workedOut: dragged } = useWorkedOut(drag, (now) =>
    planner((tasks) => tasks.stretchedAsFarAsItFits(now.request, now.from, now.to, mark.value)),
  );
  watch(dragged, (now) => {
    if (now?.result.gift) lookAt({ gift: now.result.gift });
  });
  /** Whether the hand wants to go further than there is a box. */
  const isStopped = computed(() => isHeld.value && dragged.value?.result.isStopped === true);

  /** Stretches the gift that is looked at, as far as it fits. */
  function move(to: Drag['to']): void {
    if (!request.value) return;
    const from = isHeld.value ? drag.value?.from : undefined;
    drag.value = { request: request.value, from: from ?? request.value.gift, to };
    isHeld.value = true;
  }

  function rest(): void {
    isHeld.value = false;
  }

  /** Back to the box as it is; what is still looked for is not shown any more. */
  function lookAway(): void {
    drag.value = undefined;
    isHeld.value = false;
    look.value = {};
  }

  /** Looks at a gift once it is found, unless something else is looked at by then. */
  async function lookFor(find: (asked: PlanRequest) => Promise<Gift | undefined>): Promise<void> {
    const asked = request.value;
    const gift = asked && (await find(asked));
    if (gift && request.value === asked) lookAt({ gift });
  }

  function lookAtLargestAlike(): Promise<void> {
    return lookFor((asked) => searcher((tasks) => tasks.largestAlike(asked, mark.value)));
  }

  function lookAtLargestSquare(most: FrontierPoint): Promise<void> {
    const square = squareGifts()(most.across, most.high);
    return lookFor((asked) =>
      searcher((tasks) => tasks.neatGiftThatFits(asked, square, mark.value)),
    );
  }

  return {
    isLook,
    request,
    isStopped,
    lookAt,
    lookAway,
    move,
    rest,
    lookAtLargestAlike,
    lookAtLargestSquare,
  };
}
