import { isSameFace, type FaceChoice } from '@rangoli/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** A face that was pointed at, and where on the screen. */
export interface Pointed {
  readonly face: FaceChoice;
  /** In pixels from the upper left corner of the mat; none where it was chosen from the list. */
  readonly at?: { readonly x: number; readonly y: number };
}

/** The face of the box that is in hand: on the flat piece, on the box in space and in the list at once. */
export const usePointing = defineStore('pointing', () => {
  const pointed = shallowRef<Pointed>();
  const hovered = shallowRef<FaceChoice>();
  /** Whether a face is being chosen from a list and not by pointing. */
  const isChoosing = shallowRef(false);

  function point(face: FaceChoice, at?: Pointed['at']): void {
    pointed.value = { face, ...(at && { at }) };
    isChoosing.value = false;
  }

  function leave(): void {
    pointed.value = undefined;
    hovered.value = undefined;
    isChoosing.value = false;
  }

  function hover(face: FaceChoice | undefined): void {
    hovered.value = face;
  }

  function choose(): void {
    pointed.value = undefined;
    isChoosing.value = true;
  }

  function isInHand(face: FaceChoice): boolean {
    return [pointed.value?.face, hovered.value].some((each) => each && isSameFace(each, face));
  }

  return { pointed, hovered, isChoosing, point, hover, choose, leave, isInHand };
});
