import type { Action } from 'svelte/action';

/** What carries an entry when a list is sorted by hand. */
export const GRIP = 'grip';

/**
 * A list whose entries are dragged by their grip to another place in it. The page is put back as it was before `onmove` is
 * told, since the list is drawn from the plan; the library is fetched when the list is first shown.
 */
export const sortable: Action<HTMLElement, (from: number, to: number) => void> = (list, onmove) => {
  let told = onmove;
  let gone = false;
  let end: (() => void) | undefined;
  void import('sortablejs').then(({ default: Sortable }) => {
    if (gone) return;
    const made = Sortable.create(list, {
      handle: `.${GRIP}`,
      animation: 120,
      forceFallback: true,
      onEnd({ item, oldIndex, newIndex }) {
        if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
        const after = list.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null;
        list.insertBefore(item, after);
        told(oldIndex, newIndex);
      }
    });
    end = () => made.destroy();
  });
  return {
    update(next) {
      told = next;
    },
    destroy() {
      gone = true;
      end?.();
    }
  };
};
