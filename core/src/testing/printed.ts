import {
  cutListEntry,
  formatWithUnit,
  isFlatOperation,
  markWords,
  momentFigure,
  noteBefore,
  planJob,
  sayStep,
  verdictsOf,
  type Plan,
  type PlanRequest,
  type Step,
  type Telling,
} from '../index.ts';

/** Long lines are broken after each sentence, so that a change shows where it is. */
function inLines(text: string): readonly string[] {
  return text.split(/(?<=[.:!?]) (?=[A-Z0-9])/).map((sentence) => `    ${sentence}`);
}

/** The large figures of a step as it is walked through, a mark or a move at a time. */
function figuresOf(step: Step, telling: Telling): readonly string[] {
  if (step.kind === 'cut' || step.kind === 'own') return [];
  return step.operations.flatMap((operation): readonly string[] => {
    if (operation.kind === 'score' || operation.kind === 'mark')
      return operation.marks.map((mark) => {
        const { figure, words } = markWords(mark, operation, telling.kit);
        return words === '' ? figure : `${figure}, ${words}`;
      });
    // What is punched is told line by line; any other work on flat card is one moment.
    if (operation.kind === 'punch' || !isFlatOperation(operation))
      return [momentFigure(operation, telling)];
    return [];
  });
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
      ...strips.map(({ headline, length, unit, pitch, marks }) => {
        const told = marks.map(
          ({ reading, words, isOff }) =>
            `${formatWithUnit(reading, unit)}${isOff ? ' (off)' : ''}${words ? ` [${words}]` : ''}`,
        );
        const ruler = `${formatWithUnit(length, unit)} in steps of ${formatWithUnit(pitch, unit)}`;
        return `    ${headline}, ${ruler}: ${told.join('; ')}`;
      }),
      ...(snips === '' ? [] : [`    ${snips}`]),
    ];
  });
  const steps = job.steps.flatMap((step, at) => {
    const telling = { job, box: plan, kit };
    const { figure, text, line, counted } = sayStep(step, telling);
    const moments = figuresOf(step, telling);
    const note = noteBefore(job, step, kit);
    return [
      ...(note === undefined ? [] : [note]),
      `${at + 1}. ${line} | ${figure} | ${step.copies} ${counted} | ${Math.round(step.seconds)} s`,
      ...inLines(text),
      ...(moments.length === 0 ? [] : [`    · ${moments.join(' · ')}`]),
    ];
  });
  return [...verdicts, ...pieces, ...steps, ''].join('\n');
}
