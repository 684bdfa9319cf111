export { guardName, guardOrigin, writeHeader } from './guard.ts';
export { HttpProblem, type ProblemDetails } from './problem.ts';
export { bodyLimit, problemHandler, unknownRoute } from './problem-handler.ts';
export { readBody } from './read-body.ts';
