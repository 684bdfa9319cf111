import {
  cutListEntry,
  formatWithUnit,
  noteBefore,
  planJob,
  sayStep,
  verdictsOf,
  type Plan,
  type PlanRequest,
} from '../index.ts';

/** Long lines are broken after each sentence, so that a change shows where it is. */
function inLines(text: string): readonly string[] {
  return text.split(/(?<=[.:!?]) (?=[A-Z0-9])/).map((sentence) => `    ${sentence}`);
}

/** All that is told of a planned box and the making of so many of it, as plain text. */
export function printedJob(plan: Plan, request: PlanRequest, boxes: number): string {
  const { kit, papers } = request;
  const job = planJob(plan, request, { boxes });
  const verdicts = verdictsOf(plan, request).map(
    ({ state, text, detail }) => `${state ?? 'fact'}: ${text.join('')}. ${detail ?? ''}`,
  );
  const pieces = plan.pieces.flatMap((piece) => {
    const paper = papers[Math.min(piece.paper, papers.length - 1)];
    if (!paper) throw new Error('A box is cut from some paper');
    const { strips, snips } = cutListEntry(plan, piece, paper, kit);
    return [
      `${piece.copies} × ${piece.name}`,
      ...strips.map(({ headline, length, unit, marks }) => {
        const told = marks.map(
          ({ reading, words, isOff }) =>
            `${formatWithUnit(reading, unit)}${isOff ? ' (off)' : ''}${words ? ` [${words}]` : ''}`,
        );
        return `    ${headline}, ${formatWithUnit(length, unit)} long: ${told.join('; ')}`;
      }),
      ...(snips === '' ? [] : [`    ${snips}`]),
    ];
  });
  const steps = job.steps.flatMap((step, at) => {
    const { figure, text, line, counted } = sayStep(step, { job, box: plan, kit });
    const note = noteBefore(job, step, kit);
    return [
      ...(note === undefined ? [] : [note]),
      `${at + 1}. ${line} | ${figure} | ${step.copies} ${counted} | ${Math.round(step.seconds)} s`,
      ...inLines(text),
    ];
  });
  return [...verdicts, ...pieces, ...steps, ''].join('\n');
}
