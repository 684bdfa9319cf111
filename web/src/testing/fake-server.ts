import { mergeFacts, noFacts, progressFactsSchema, projectDocumentSchema } from '@rangoli/core';
import type { ProgressFacts, ProjectDocument } from '@rangoli/core';
import { z } from 'zod';

interface Revised<Value> {
  readonly revision: number;
  readonly value: Value;
}

/** How the way to the server is: free, cut, without a way back, or to a server that fails. */
export type Network = 'up' | 'down' | 'loses answers' | 'fails';

interface Answer {
  readonly status: number;
  readonly body?: unknown;
}

const putBox = z.object({ revision: z.int(), document: projectDocumentSchema });
const putItem = z.object({ revision: z.int(), value: z.unknown() });
const postFacts = z.object({ facts: progressFactsSchema });

/** What the real server promises over HTTP, kept in memory, with a network that can be spoilt. */
export class FakeServer {
  readonly boxes = new Map<string, Revised<ProjectDocument>>();
  readonly progress = new Map<string, ProgressFacts>();
  readonly items = new Map<string, Map<string, Revised<unknown>>>();
  network: Network = 'up';
  /** Milliseconds until a question arrives, and until its answer does. */
  delay = 0;
  /** Pages that are gone hear no answers. */
  page = 0;
  /** Every question that arrived. */
  readonly heard: string[] = [];

  /** Stands in for the browser's own. */
  readonly fetch = async (url: string, init: RequestInit = {}): Promise<unknown> => {
    const { page } = this;
    await this.#pass();
    if (this.network === 'down') throw new TypeError('No way to the server');
    const method = init.method ?? 'GET';
    this.heard.push(`${method} ${url}`);
    const answer: Answer =
      this.network === 'fails'
        ? { status: 500, body: { detail: 'It failed.' } }
        : this.#answer(method, url.replace(/^\/api\//, '').split('/'), bodyOf(init));
    await this.#pass();
    if (page !== this.page) return new Promise(() => undefined);
    if (this.#isCutNow()) throw new TypeError('No way back from the server');
    return {
      status: answer.status,
      ok: answer.status < 300,
      headers: { get: () => 'application/json' },
      json: () => Promise.resolve(JSON.parse(JSON.stringify(answer.body ?? null))),
    };
  };

  /** Whether no answer comes through by now. */
  #isCutNow(): boolean {
    return this.network === 'down' || this.network === 'loses answers';
  }

  #pass(): Promise<void> {
    return this.delay === 0
      ? Promise.resolve()
      : new Promise((resolve) => setTimeout(resolve, this.delay));
  }

  #answer(method: string, [list = '', id = '']: readonly string[], body: unknown): Answer {
    if (list === 'projects') return this.#box(method, id, body);
    if (list === 'progress') return this.#facts(method, id, body);
    return this.#item(method, list, decodeURIComponent(id), body);
  }

  #told(id: string) {
    const found = this.boxes.get(id);
    return found && { id, revision: found.revision, updatedAt: '', document: found.value };
  }

  #box(method: string, id: string, body: unknown): Answer {
    if (method === 'POST') {
      const { document } = z.object({ document: projectDocumentSchema }).parse(body);
      const made = `made ${String(this.boxes.size)}`;
      this.boxes.set(made, { revision: 1, value: document });
      return { status: 201, body: this.#told(made) };
    }
    const found = this.#told(id);
    if (!found) return { status: 404, body: { detail: 'There is no such box.' } };
    if (method === 'GET') return { status: 200, body: found };
    const { revision, document } = putBox.parse(body);
    if (revision !== found.revision)
      return { status: 409, body: { detail: 'Changed meanwhile.', current: found } };
    this.boxes.set(id, { revision: revision + 1, value: document });
    return { status: 200, body: this.#told(id) };
  }

  #facts(method: string, id: string, body: unknown): Answer {
    if (!this.boxes.has(id)) return { status: 404, body: { detail: 'There is no such box.' } };
    const before = this.progress.get(id) ?? noFacts();
    const facts = method === 'POST' ? mergeFacts(before, postFacts.parse(body).facts) : before;
    this.progress.set(id, facts);
    return { status: 200, body: { facts } };
  }

  #item(method: string, list: string, id: string, body: unknown): Answer {
    const items = this.items.get(list) ?? new Map<string, Revised<unknown>>();
    this.items.set(list, items);
    const told = (each: string) => ({ id: each, ...items.get(each) });
    if (method === 'GET')
      return { status: 200, body: { items: [...items.keys()].map(told), unreadable: [] } };
    const { revision, value } = putItem.parse(body);
    if (revision !== (items.get(id)?.revision ?? 0))
      return { status: 409, body: { detail: 'Changed meanwhile.', current: told(id) } };
    items.set(id, { revision: revision + 1, value });
    return { status: 200, body: told(id) };
  }
}

function bodyOf({ body }: RequestInit): unknown {
  return typeof body === 'string' ? JSON.parse(body) : undefined;
}
