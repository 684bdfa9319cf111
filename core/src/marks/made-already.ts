import type { MarksProblem, Section } from './marks-problem.ts';

/** Whether only one size is left to a section. */
export function isSettled({ least, most }: Pick<Section, 'least' | 'most'>): boolean {
  return least === most;
}

/** Every length that is given, whatever the tools' marks: what is cut and scored already, and the shim. */
export function givenLengths({ sections, chains, spans, tools }: MarksProblem): readonly number[] {
  return [
    ...sections.filter(isSettled).map(({ least }) => least),
    ...chains.flatMap(({ cut }) => (cut === undefined ? [] : [cut])),
    ...spans.map(({ is }) => is),
    ...(tools.shim === undefined ? [] : [tools.shim]),
  ];
}

/** Chains that are cut already, as spans over all their sections. */
export function spansOf({ chains, spans }: MarksProblem): MarksProblem['spans'] {
  return [
    ...spans,
    ...chains.flatMap(({ sections, cut }) => (cut === undefined ? [] : [{ sections, is: cut }])),
  ];
}
