import fc from 'fast-check';
import { planBox } from '@rangoli/core';
import { anyRequest } from '../src/testing/requests.ts';

const seed = 20_261_125;
const requests = fc.sample(anyRequest, { seed, numRuns: 4000 });

function percentile(sorted: readonly number[], share: number): string {
  return (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0).toFixed(2);
}

function time(list: typeof requests): readonly number[] {
  return list.map((request) => {
    const start = performance.now();
    planBox(request);
    return performance.now() - start;
  });
}

// The first round is for the compiler.
time(requests.slice(0, 1000));
const times = [...time(requests)].sort((a, b) => a - b);
const outcomes = { planned: 0, loose: 0, tight: 0, refused: 0 };
for (const request of requests) {
  const result = planBox(request);
  if (!result.ok) outcomes.refused++;
  else if (result.plan.lid.state === 'holds') outcomes.planned++;
  else outcomes[result.plan.lid.state]++;
}
console.log(
  `planBox, lidded box, ${times.length} requests over all shipped tools (seed ${seed}): ` +
    `median ${percentile(times, 0.5)} ms, p95 ${percentile(times, 0.95)} ms (wanted: under 2), ` +
    `p99 ${percentile(times, 0.99)} ms, longest ${percentile(times, 1)} ms`,
);
console.log(
  `  lid holds ${outcomes.planned}, loose ${outcomes.loose}, tight ${outcomes.tight}, refused ${outcomes.refused}`,
);
