import { newProject, type ProjectDocument } from '@rangoli/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Refusal, Unreachable, type StoredProject } from '../api/projects.ts';
import { Saver, type SaveState } from './saver.ts';

function named(name: string): ProjectDocument {
  return { ...newProject('mm'), name };
}

/** A server that keeps one project, can be away, and takes its time. */
class FakeServer {
  stored: StoredProject = { id: 'x', revision: 1, updatedAt: '', document: named('first') };
  away = false;
  readonly writes: string[] = [];

  async save(revision: number, document: ProjectDocument): Promise<StoredProject> {
    await new Promise((resolve) => setTimeout(resolve, 200));
    if (this.away) throw new Unreachable();
    if (revision !== this.stored.revision) throw new Refusal(409, 'stale', this.stored);
    this.stored = { ...this.stored, revision: revision + 1, document };
    this.writes.push(document.name);
    return this.stored;
  }
}

let server: FakeServer;
let states: SaveState[];
let saver: Saver;

beforeEach(() => {
  vi.useFakeTimers();
  server = new FakeServer();
  states = [];
  saver = new Saver(1, {
    save: (revision, document) => server.save(revision, document),
    onState: (state) => states.push(state),
    onSaved: () => undefined,
  });
});

afterEach(() => {
  vi.useRealTimers();
});

describe('saving', () => {
  it('waits for quiet, sends the latest only, and what was typed while sending after it', async () => {
    saver.change(named('a'));
    await vi.advanceTimersByTimeAsync(300);
    saver.change(named('b'));
    await vi.advanceTimersByTimeAsync(600);
    saver.change(named('c'));
    await vi.advanceTimersByTimeAsync(2000);
    expect(server.writes).toEqual(['b', 'c']);
    expect(saver.pending).toBeUndefined();
    expect(states.at(-1)).toEqual({ kind: 'saved' });
  });

  it('tries again until the server is back', async () => {
    server.away = true;
    saver.change(named('kept'));
    await vi.advanceTimersByTimeAsync(5000);
    expect(states.at(-1)?.kind).toMatch(/unreachable|saving/);
    expect(saver.pending?.name).toBe('kept');
    server.away = false;
    await vi.advanceTimersByTimeAsync(5000);
    expect(server.writes).toEqual(['kept']);
  });

  it('takes a change that arrived, though its answer was lost, for saved', async () => {
    server.stored = { ...server.stored, revision: 2, document: named('arrived') };
    saver.change(named('arrived'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(states.at(-1)).toEqual({ kind: 'saved' });
    saver.change(named('next'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.writes).toEqual(['next']);
  });

  it('stops at a conflict, overwrites nothing, and goes on as the maker chooses', async () => {
    server.stored = { ...server.stored, revision: 5, document: named('theirs') };
    saver.change(named('mine'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(states.at(-1)).toEqual({ kind: 'conflict', theirs: server.stored });
    saver.change(named('mine, further'));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(server.writes).toEqual([]);
    saver.resume(5);
    await vi.advanceTimersByTimeAsync(1000);
    expect(server.writes).toEqual(['mine, further']);
    expect(states.at(-1)).toEqual({ kind: 'saved' });
  });
});
