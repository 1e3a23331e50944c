import { afterEach, describe, expect, it } from 'vitest';
import { isToday } from '$core/soak.testing';
import { Workshop, type Bench } from './workshop';

/*
 * Three first batches as someone new makes them, from an empty database: every tap and every field filled counts as
 * one act, and there is no wrong turn among them.
 */

let workshop: Workshop | undefined;
afterEach(async () => {
  await workshop?.close();
  workshop = undefined;
});

/** Someone new at the bench: what they do, counted. */
class Newcomer {
  acts = 0;
  constructor(readonly bench: Bench) {}

  static async atAnEmptyBench({ pictures = false } = {}): Promise<Newcomer> {
    workshop = await Workshop.open({ demo: false, pictures });
    const bench = await workshop.page('/');
    await bench.says('main', 'An empty bench.');
    return new Newcomer(bench);
  }

  async click(name: string, role: 'button' | 'link' | 'tab' = 'button'): Promise<void> {
    this.acts++;
    await this.bench.click(name, role);
  }
  async type(label: string, text: string): Promise<void> {
    this.acts++;
    await this.bench.type(label, text);
  }
  async choose(label: string, option: string): Promise<void> {
    this.acts++;
    await this.bench.choose(label, option);
  }

  /** From the empty bench to the looks, with the starter set: a button of that name stands on both pages. */
  async beginsWithTheLook(): Promise<void> {
    await this.click('Choose a look', 'link');
    await this.bench.says('h1', 'What do you want to make?');
    await this.click('Add the starter set');
  }

  /** A mould by its dimensions, put on the shelf and planned with. */
  async plansWith(name: string, shape: string | undefined, lengths: Record<string, string>): Promise<void> {
    await this.click('Add the starter set');
    await this.bench.says('main', 'See the shelf');
    await this.click('Measure a mould', 'link');
    await this.type('Name', name);
    if (shape) await this.choose('Shape', shape);
    for (const [label, text] of Object.entries(lengths)) await this.type(label, text);
    await this.click('Save');
    await this.bench.says('main', 'New plan with this mould');
    await this.click('New plan with this mould', 'link');
    await this.click('Empty plan');
    await this.bench.says('[aria-label="Pour"]', '+ Layer');
  }

  /** The plan is right: nothing stands in the way of its run. */
  async ready(): Promise<void> {
    await this.bench.page.waitForFunction(() => {
      const start = [...document.querySelectorAll('button')].find((b) => b.innerText === 'Start the run');
      return start && !start.disabled;
    });
    expect(this.bench.errors.join(' | ')).toBe('');
  }
}

const poured = async (bench: Bench): Promise<number> =>
  Number(/([\d.]+)\s+in the mould/.exec(await bench.says('[data-testid="balance"]', /in the mould/))![1]);

describe('a first batch, from an empty database', () => {
  it.runIf(isToday(0, 3))('of roundels takes twelve acts', async () => {
    const maker = await Newcomer.atAnEmptyBench();
    await maker.plansWith('Roundel', undefined, { 'How many cavities': '4', Diameter: '90', Depth: '9 mm' });
    // Which base it is made of is asked, not taken.
    await maker.bench.says('[aria-label="Numbers"]', 'No material is chosen');
    await maker.choose('Material', 'Clear casting resin');
    await maker.click('Cups 1', 'tab');
    await maker.choose('Add a colourant to cup A', 'blue paste');
    await maker.ready();
    const ml = 4 * Math.PI * 45 ** 2 * 9 * 1e-3;
    expect((await poured(maker.bench)) / ml).toBeGreaterThan(1.0);
    expect((await poured(maker.bench)) / ml).toBeLessThan(1.2);
    expect(maker.acts).toBeLessThanOrEqual(12);
  });

  it.runIf(isToday(1, 3))('of a loaf takes fourteen', async () => {
    const maker = await Newcomer.atAnEmptyBench();
    await maker.plansWith('Loaf', 'box', { Length: '25 cm', Width: '80', Depth: '65' });
    await maker.choose('Material', 'Cold-process');
    await maker.click('Cups 1', 'tab');
    await maker.choose('Add a colourant to cup A', 'brown oxide powder');
    await maker.ready();
    const grams = 250 * 80 * 65 * 1e-3 * 1.02;
    expect((await poured(maker.bench)) / grams).toBeCloseTo(1, 1);
    await maker.bench.click('Batch', 'tab');
    const numbers = await maker.bench.text('[aria-label="Numbers"]');
    expect(numbers).toMatch(/superfat [45]\.\d %/);
    expect(maker.acts).toBeLessThanOrEqual(14);
  });

  it.runIf(isToday(2, 3))('of a coaster in three colours takes twenty-one', async () => {
    const maker = await Newcomer.atAnEmptyBench();
    await maker.plansWith('Coaster', undefined, { Diameter: '96', Depth: '1 cm' });
    await maker.choose('Material', 'Clear casting resin');
    const pots = ['titanium white paste', 'blue paste', 'carbon black paste'];
    await maker.click('Cups 1', 'tab');
    for (const [i, pot] of pots.entries()) {
      const letter = 'ABC'[i]!;
      if (i) {
        await maker.click('Cup');
        await maker.bench.says('[aria-label="Cups"]', new RegExp(`\\b${letter}\\b`));
      }
      await maker.choose(`Add a colourant to cup ${letter}`, pot);
    }
    await maker.click('Pour', 'tab');
    await maker.click('+ Layer');
    await maker.click('+ Layer');
    await maker.click('Split equally');
    await maker.ready();
    // A third each, whatever is above and below.
    const layers = await maker.bench.says(
      '[aria-label="Pour"]',
      /ml · 3\.3 mm[^]*ml · 3\.3 mm[^]*ml · 3\.3 mm/
    );
    const each = [...layers.matchAll(/([\d.]+) ml · 3\.3 mm/g)].map((m) => Number(m[1]));
    expect(each).toHaveLength(3);
    const third = (Math.PI * 48 ** 2 * 10 * 1e-3) / 3;
    for (const ml of each) expect(ml).toBeCloseTo(third, 1);
    expect(maker.acts).toBeLessThanOrEqual(21);
  });
});

describe('first the piece, from an empty database', () => {
  it.runIf(isToday(3, 3))(
    'of twelve coasters in three colours that all show takes fourteen acts',
    async () => {
      const maker = await Newcomer.atAnEmptyBench({ pictures: true });
      await maker.beginsWithTheLook();
      await maker.bench.page.waitForSelector('[data-testid="techniques"]');
      await maker.type('Diameter', '96');
      await maker.type('Depth', '9 mm');
      await maker.type('Cavities in the mould', '4');
      await maker.click('Save the mould');
      await maker.bench.page.waitForSelector('[aria-label="Mould"]');
      await maker.choose('Material', 'Clear casting resin');
      await maker.bench.page.waitForSelector('[data-technique="puddle-stack"]');
      maker.acts++;
      await maker.bench.page.locator('[data-technique="puddle-stack"]').click();
      await maker.type('How many good pieces', '12');
      await maker.choose('Colour 2', 'blue paste');
      await maker.choose('Colour 3', 'carbon black paste');
      await maker.click('Make the plan');
      await maker.ready();
      // The picture counts what is seen of each: no colour is poured for nothing.
      await maker.bench.page.waitForSelector('[data-picture] [data-drawn="whole"]');
      const shown = await maker.bench.text('[aria-label="Piece and core"]');
      const shares = [...shown.matchAll(/→\s+(\d+) %/g)].map((m) => Number(m[1]));
      expect(shares).toHaveLength(3);
      for (const share of shares) expect(share).toBeGreaterThan(0);
      await maker.bench.says('[data-testid="plan-facts"]', /4 at a time · \d pours/);
      expect(maker.acts).toBeLessThanOrEqual(14);
    }
  );

  it.runIf(isToday(4, 3))(
    'of a loaf from a kilo of oils by one’s own recipe, two colours, ten bars, takes twenty-two',
    async () => {
      const maker = await Newcomer.atAnEmptyBench();
      const { bench } = maker;
      await maker.beginsWithTheLook();
      await bench.page.waitForSelector('[data-testid="techniques"]');
      await maker.choose('Shape of the mould', 'box');
      await maker.type('Length', '25 cm');
      await maker.type('Width', '80');
      await maker.type('Depth', '75');
      await maker.click('Save the mould');
      await bench.page.waitForSelector('[aria-label="Mould"]');
      await maker.choose('Material', 'Cold-process bar soap');
      // Her own oils, in the grams they stand in her book.
      await maker.click('Your own recipe', 'link');
      await maker.type('Grams of olive', '450');
      await maker.type('Grams of rice bran', '180 g');
      await maker.type('Grams of castor', '70');
      await bench.says('main', /Oils in all\s+1\.00 kg · 100\.0 %/);
      await maker.click('Back to the new plan', 'link');
      await bench.page.waitForSelector('[data-technique="cup-swirl"]');
      maker.acts++;
      await bench.page.locator('[data-technique="cup-swirl"]').click();
      await maker.type('Start from oils', '1 kg');
      await maker.type('Bars from each casting', '10');
      await maker.click('Without colour 3');
      await maker.click('Make the plan');
      await maker.ready();
      await bench.says('[data-testid="plan-facts"]', /10 at a time · 1 pour/);
      await bench.click('Batch', 'tab');
      await bench.holds('oils in all', '1000 g');
      expect(maker.acts).toBeLessThanOrEqual(22);
    }
  );

  it.runIf(isToday(5, 3))('of a concrete tray in two greys takes fourteen', async () => {
    const maker = await Newcomer.atAnEmptyBench();
    const { bench } = maker;
    await maker.beginsWithTheLook();
    await bench.page.waitForSelector('[data-testid="techniques"]');
    await maker.choose('Shape of the mould', 'box');
    await maker.type('Length', '24 cm');
    await maker.type('Width', '16 cm');
    await maker.type('Depth', '18');
    await maker.click('Save the mould');
    await bench.page.waitForSelector('[aria-label="Mould"]');
    await maker.choose('Material', 'Fine casting concrete');
    await maker.choose('Colour 1', 'no colour');
    await maker.choose('Colour 2', 'activated charcoal');
    await maker.click('Without colour 3');
    await maker.click('Make the plan');
    await maker.ready();
    expect(await poured(bench)).toBeGreaterThan(24 * 16 * 1.8 * 2);
    await bench.says('[aria-label="Pour"]', /Pour a layer of natural[^]*Pour a layer of activated charcoal/);
    expect(maker.acts).toBeLessThanOrEqual(14);
  });
});

describe('a mould measured with water', () => {
  it.runIf(isToday(6, 3))(
    'asks its weights once, from empty fields, and its depth; it never makes one up',
    async () => {
      const maker = await Newcomer.atAnEmptyBench();
      const { bench } = maker;
      await maker.click('Measure a mould', 'link');
      await maker.type('Name', 'Dish');
      await maker.choose('Capacity known from', 'a water fill');
      for (const label of ['Mould empty', 'Filled with water', 'Depth'])
        expect(await bench.page.$eval(`[aria-label="${label}"]`, (e) => (e as HTMLInputElement).value)).toBe(
          ''
        );
      await bench.says('main', 'Weigh the mould dry');
      await maker.type('Mould empty', '80 g');
      await maker.type('Filled with water', '180 g');
      // Nothing is known of it before it is all said, and nothing is put on the shelf.
      expect(await bench.page.$('[data-testid="capacity"]')).toBeNull();
      await maker.type('Depth', '25 mm');
      await bench.says('[data-testid="capacity"]', '100.18 ml each');
      // The drawing grows to the sides: as deep as was said, as wide as the water says.
      await bench.page.waitForFunction(() => {
        const value = (label: string) =>
          Number.parseFloat(document.querySelector<HTMLInputElement>(`[aria-label="${label}"]`)?.value ?? '');
        const ml = (Math.PI * (value('Diameter') / 2) ** 2 * value('Depth')) / 1000;
        return value('Depth') === 25 && Math.abs(ml - 100.18) < 0.5;
      });
      expect(await bench.page.$$('[aria-label="Cavities filled"]')).toHaveLength(0);
      expect(bench.errors.join(' | ')).toBe('');
    }
  );
});
