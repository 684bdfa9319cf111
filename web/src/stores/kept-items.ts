import { clashInWords, type Unit } from '@rangoli/core';
import { shallowRef, type ShallowRef } from 'vue';
import type { Items, ItemsParts } from '../keeping/items.ts';
import { useKeeping } from './keeping.ts';

/** An item of which one field was changed in two places, with what it is here and there. */
export interface ItemClash {
  readonly id: string;
  readonly name: string;
  readonly fields: readonly ReturnType<typeof clashInWords>[];
}

export interface KeptItemsParts<Value> extends Omit<ItemsParts<Value>, 'onChange'> {
  /** What a maker who must decide is asked about; undefined where what was changed here last is what counts. */
  readonly clash?: (
    id: string,
    value: Value | undefined,
  ) => { readonly name: string; readonly unit: Unit };
}

/** What is kept item by item beside the boxes, as a store shows it. */
export interface KeptItems<Value> {
  readonly known: Readonly<ShallowRef<ReadonlyMap<string, Value>>>;
  /** Whether these are the maker's, and not merely what is shipped. */
  readonly isHere: Readonly<ShallowRef<boolean>>;
  readonly trouble: Readonly<ShallowRef<string | undefined>>;
  readonly clashes: Readonly<ShallowRef<readonly ItemClash[]>>;
  /** Reads them once; every view that needs them may ask. */
  readonly open: () => Promise<void>;
  /** Reads them again, as when they are looked at. */
  readonly refresh: () => Promise<void>;
  /** Says what these items are now; false, and nothing said, while they have not been read. */
  readonly change: (changed: ReadonlyMap<string, Value>) => boolean;
  /** Ends a clash of one item: as it is here, or as it is there. */
  readonly settle: (id: string, as: 'mine' | 'theirs') => void;
}

/** The items of a list, each with its own way to the server. */
export function keptItems<Value>({ clash, ...parts }: KeptItemsParts<Value>): KeptItems<Value> {
  const keeping = useKeeping();
  const known = shallowRef<ReadonlyMap<string, Value>>(new Map());
  const isHere = shallowRef(false);
  const trouble = shallowRef<string>();
  const clashes = shallowRef<readonly ItemClash[]>([]);
  let items: Items<Value> | undefined;
  let opening: Promise<void> | undefined;

  function follow(): void {
    if (!items) return;
    known.value = items.values();
    const standings = [...items.standings()];
    clashes.value = standings.flatMap(([id, standing]) => {
      if (standing.kind !== 'conflict' || !clash) return [];
      const { name, unit } = clash(id, known.value.get(id));
      return [{ id, name, fields: standing.clashes.map((each) => clashInWords(each, unit)) }];
    });
    if (!clash)
      for (const [id, { kind }] of standings)
        if (kind === 'conflict') items.keeper.replica(id)?.resolve('mine');
    const [waiting] = standings.flatMap(([, standing]) =>
      standing.kind === 'unreachable' || standing.kind === 'refused' ? [standing] : [],
    );
    trouble.value =
      waiting?.kind === 'unreachable'
        ? `Only in this browser for now: it is sent as soon as the server answers. ${waiting.message}`
        : waiting && `Not saved. ${waiting.message}`;
  }

  async function load(): Promise<void> {
    items ??= await keeping.items({ ...parts, onChange: follow });
    const read = await items.read();
    isHere.value = read.kind !== 'failed';
    if (read.kind === 'failed') trouble.value = read.message;
    // Asked for anew by the next view: nothing that others have changed since is missed for long.
    if (read.kind !== 'read') opening = undefined;
  }

  function open(): Promise<void> {
    opening ??= load();
    return opening;
  }

  function refresh(): Promise<void> {
    opening = load();
    return opening;
  }

  function change(changed: ReadonlyMap<string, Value>): boolean {
    if (!items || !isHere.value) return false;
    for (const [id, value] of changed) items.change(id, value);
    follow();
    return true;
  }

  function settle(id: string, as: 'mine' | 'theirs'): void {
    items?.keeper.replica(id)?.resolve(as);
    follow();
  }

  return { known, isHere, trouble, clashes, open, refresh, change, settle };
}
