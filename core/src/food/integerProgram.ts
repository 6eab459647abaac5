/**
 * Integer programmes with few rows: least cost of whole numbers within bounds, each row a sum that must not fall
 * below its least. Branch and bound (Land & Doig 1960) over a bounded dual simplex (Lemke 1954; Wagner 1958) that
 * goes on from its parent's tableau. Rows are some ten and columns some hundred, so a dense tableau is copied with
 * every node. Why none from a package: decision 0017.
 */

export interface IntegerProgram {
  /** One for each column. */
  cost: readonly number[];
  least: readonly number[];
  /** May be infinite where the cost is not negative. */
  most: readonly number[];
  rows: readonly { of: readonly number[]; atLeast: number }[];
  /** Improvements smaller than this are none: what differs by less is taken as equal. */
  grain: number;
  /** Drops, with the best so far, after so many nodes. */
  mostNodes: number;
}

export interface IntegerAnswer {
  values: number[];
  cost: number;
  /** Nothing better by more than this is left; 0 where the search came to its end. */
  gap: number;
  nodes: number;
  /** Of the programme without wholeness: what a unit more in every row costs, and where a column stands at its most. */
  duals: number[];
  atMost: boolean[];
}

const EPSILON = 1e-7;
const WHOLE = 1e-5;
const MOST_PIVOTS = 4000;

/**
 * Undefined where nothing was found that keeps to the rows. Dives from the node with the lowest bound to a leaf,
 * always into the cheaper half; the other halves wait.
 */
export function solveWhole(program: IntegerProgram): IntegerAnswer | undefined {
  const { grain, mostNodes, cost } = program;
  const root = Tableau.of(program);
  if (!root.settle()) return undefined;
  const { duals, atMost } = root.prices();
  const waiting: Tableau[] = [root];
  let best: { values: number[]; cost: number } | undefined;
  let nodes = 0;
  const isHopeless = (node: Tableau): boolean => best !== undefined && node.cost > best.cost - grain + EPSILON;
  while (waiting.length > 0 && nodes < mostNodes) {
    let node: Tableau | undefined = takeLowest(waiting);
    while (node && !isHopeless(node)) {
      nodes++;
      if (best) node.tighten(best.cost - grain);
      const at = node.mostFractional();
      if (at < 0) {
        const values = node.values().map(Math.round);
        best = { values, cost: values.reduce((sum, value, i) => sum + value * cost[i]!, 0) };
        break;
      }
      const value = node.valueOf(at);
      const down = node.branch(at, undefined, Math.floor(value));
      const up = node.branch(at, Math.ceil(value), undefined);
      const [next, other]: (Tableau | undefined)[] = down && (!up || down.cost <= up.cost) ? [down, up] : [up, down];
      if (other && !isHopeless(other)) waiting.push(other);
      node = next;
    }
  }
  if (!best) return undefined;
  const open = waiting.filter((node) => !isHopeless(node));
  const gap = open.reduce((most, node) => Math.max(most, best.cost - node.cost), 0);
  return { ...best, gap, nodes, duals, atMost };
}

function takeLowest(nodes: Tableau[]): Tableau {
  let lowest = 0;
  for (const [i, node] of nodes.entries()) if (node.cost < nodes[lowest]!.cost) lowest = i;
  const [node] = nodes.splice(lowest, 1, nodes.at(-1)!);
  nodes.pop();
  return node!;
}

/**
 * A dictionary: every basic variable as a constant and a sum over those that stand at a bound. Columns of the programme
 * come first, the rows' surpluses after them.
 */
class Tableau {
  private constructor(
    private readonly columns: number,
    /** Variable of each line, and of each place in it. */
    private readonly basic: Int32Array,
    private readonly resting: Int32Array,
    /** By variable: its bounds, and whether it rests at the upper one. */
    private readonly least: Float64Array,
    private readonly most: Float64Array,
    private readonly isUp: Uint8Array,
    private readonly constants: Float64Array,
    private readonly lines: Float64Array,
    /** Reduced costs by place, and the constant. */
    private readonly reduced: Float64Array,
    private base: number,
  ) {}

  /** Of the optimum that it was settled to. */
  cost = 0;

  static of({ cost, least, most, rows }: IntegerProgram): Tableau {
    const n = cost.length;
    const m = rows.length;
    const lines = new Float64Array(m * n);
    for (const [r, row] of rows.entries()) for (let j = 0; j < n; j++) lines[r * n + j] = row.of[j]!;
    const upper = new Float64Array(n + m).fill(Infinity);
    const lower = new Float64Array(n + m);
    lower.set(least);
    upper.set(most);
    const isUp = new Uint8Array(n + m);
    for (let j = 0; j < n; j++) isUp[j] = Number(cost[j]! < 0);
    return new Tableau(
      n,
      Int32Array.from({ length: m }, (_, r) => n + r),
      Int32Array.from({ length: n }, (_, j) => j),
      lower,
      upper,
      isUp,
      Float64Array.from(rows, ({ atLeast }) => -atLeast),
      lines,
      Float64Array.from(cost),
      0,
    );
  }

  private copy(): Tableau {
    return new Tableau(
      this.columns,
      this.basic.slice(),
      this.resting.slice(),
      this.least.slice(),
      this.most.slice(),
      this.isUp.slice(),
      this.constants.slice(),
      this.lines.slice(),
      this.reduced.slice(),
      this.base,
    );
  }

  private restValue(place: number): number {
    const variable = this.resting[place]!;
    return this.isUp[variable] ? this.most[variable]! : this.least[variable]!;
  }

  private lineValue(line: number): number {
    const n = this.resting.length;
    let value = this.constants[line]!;
    for (let j = 0; j < n; j++) {
      const factor = this.lines[line * n + j]!;
      if (factor !== 0) value += factor * this.restValue(j);
    }
    return value;
  }

  private costNow(): number {
    let cost = this.base;
    for (let j = 0; j < this.resting.length; j++)
      if (this.reduced[j] !== 0) cost += this.reduced[j]! * this.restValue(j);
    return cost;
  }

  /** Dual simplex: from one optimum, with bounds moved, to the next. False where there is none. */
  settle(): boolean {
    const n = this.resting.length;
    for (let pivots = 0; pivots < MOST_PIVOTS; pivots++) {
      let line = -1;
      let worst = EPSILON;
      let below = true;
      for (let i = 0; i < this.basic.length; i++) {
        const value = this.lineValue(i);
        const variable = this.basic[i]!;
        const under = this.least[variable]! - value;
        const over = value - this.most[variable]!;
        const scale = 1 + Math.abs(value);
        if (under / scale > worst) [line, worst, below] = [i, under / scale, true];
        if (over / scale > worst) [line, worst, below] = [i, over / scale, false];
      }
      if (line < 0) {
        this.cost = this.costNow();
        return true;
      }
      let place = -1;
      let least = Infinity;
      let size = 0;
      for (let j = 0; j < n; j++) {
        const factor = this.lines[line * n + j]!;
        if (Math.abs(factor) < 1e-9) continue;
        const variable = this.resting[j]!;
        if (this.least[variable] === this.most[variable]) continue;
        // It has to move the line towards its bound, and can only leave its own bound inwards.
        if (factor > 0 === below ? this.isUp[variable] : !this.isUp[variable]) continue;
        const ratio = Math.abs(this.reduced[j]! / factor);
        if (ratio > least + 1e-12 || (ratio > least - 1e-12 && Math.abs(factor) <= size)) continue;
        [place, least, size] = [j, Math.min(ratio, least), Math.abs(factor)];
      }
      if (place < 0) return false;
      this.pivot(line, place, !below);
    }
    return false;
  }

  /** The basic variable of a line goes to rest at a bound, and that of a place comes in. */
  private pivot(line: number, place: number, goesUp: boolean): void {
    const n = this.resting.length;
    const { lines, constants, reduced } = this;
    const own = line * n;
    const factor = lines[own + place]!;
    for (let j = 0; j < n; j++) lines[own + j] = j === place ? 1 / factor : -lines[own + j]! / factor;
    constants[line] = -constants[line]! / factor;
    for (let i = 0; i < this.basic.length; i++) {
      if (i === line) continue;
      const times = lines[i * n + place]!;
      if (times === 0) continue;
      lines[i * n + place] = 0;
      for (let j = 0; j < n; j++) lines[i * n + j] = lines[i * n + j]! + times * lines[own + j]!;
      constants[i] = constants[i]! + times * constants[line];
    }
    const price = reduced[place]!;
    reduced[place] = 0;
    for (let j = 0; j < n; j++) reduced[j] = reduced[j]! + price * lines[own + j]!;
    this.base += price * constants[line];
    const out = this.basic[line]!;
    this.basic[line] = this.resting[place]!;
    this.resting[place] = out;
    this.isUp[out] = Number(goesUp);
  }

  valueOf(variable: number): number {
    const line = this.basic.indexOf(variable);
    return line >= 0 ? this.lineValue(line) : this.restValue(this.resting.indexOf(variable));
  }

  values(): number[] {
    return Array.from({ length: this.columns }, (_, j) => this.valueOf(j));
  }

  /** −1 where all are whole. */
  mostFractional(): number {
    let found = -1;
    let most = WHOLE;
    for (let i = 0; i < this.basic.length; i++) {
      const variable = this.basic[i]!;
      if (variable >= this.columns) continue;
      const value = this.lineValue(i);
      const off = Math.abs(value - Math.round(value));
      if (off > most) [found, most] = [variable, off];
    }
    return found;
  }

  prices(): { duals: number[]; atMost: boolean[] } {
    const duals = Array.from({ length: this.basic.length }, () => 0);
    const atMost = Array.from({ length: this.columns }, () => false);
    for (let j = 0; j < this.resting.length; j++) {
      const variable = this.resting[j]!;
      if (variable >= this.columns) duals[variable - this.columns] = this.reduced[j]!;
      else atMost[variable] = this.isUp[variable] === 1 && this.reduced[j]! < -EPSILON;
    }
    return { duals, atMost };
  }

  /** What rests cannot move further than its price lets it without passing the best that is known. */
  tighten(limit: number): void {
    const slack = limit - this.cost;
    for (let j = 0; j < this.resting.length; j++) {
      const variable = this.resting[j]!;
      const price = Math.abs(this.reduced[j]!);
      if (variable >= this.columns || price < 1e-9) continue;
      const steps = Math.floor(slack / price + EPSILON);
      if (this.isUp[variable]) this.least[variable] = Math.max(this.least[variable]!, this.most[variable]! - steps);
      else this.most[variable] = Math.min(this.most[variable]!, this.least[variable]! + steps);
    }
  }

  /** Undefined where nothing is left. */
  branch(variable: number, least: number | undefined, most: number | undefined): Tableau | undefined {
    const child = this.copy();
    if (least !== undefined) child.least[variable] = least;
    if (most !== undefined) child.most[variable] = most;
    return child.least[variable]! <= child.most[variable]! && child.settle() ? child : undefined;
  }
}
