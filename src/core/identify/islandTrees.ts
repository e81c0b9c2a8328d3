import type { Evidence } from "./evidence";
import { type LeadSet, leadSet } from "./leadSet";
import { EdgeFit, LEAST_EDGE_SHARE, STRIDE, type TreeReading } from "./treeEdges";

/**
 * A tree that could join the leads of one island: leads that ohms were read through, directly or by way of each other.
 * Its vertices are conductors, or the one hidden joint it may have; its edges are windings, of one section or several.
 */
export interface IslandTree {
  /** Leads on each vertex, by place in the sheet; none on a hidden joint. */
  readonly vertices: readonly (readonly number[])[];
  /** For each vertex the vertex it hangs on, which stands before it; -1 for the first, which is never hidden. */
  readonly parents: readonly number[];
  /** For each vertex, the conductors of what hangs on it, branch by branch, the most first. */
  readonly hanging: readonly (readonly number[])[];
  /** The leads on each vertex as a set. */
  readonly sets: readonly LeadSet[];
  /** Vertices that are no hidden joint, and whether three windings meet somewhere. */
  readonly conductors: number;
  readonly branched: boolean;
}

/** The trees that the readings of an island allow, whether others were left out for their number, and what it took. */
export interface IslandTrees {
  readonly trees: readonly IslandTree[];
  readonly cut: boolean;
  /** Over all fits of a tree the square of its edges. */
  readonly work: number;
}

/** A tree that explains the readings this much worse than the best one, in nats, is dropped. */
const HOPELESS_NATS = 12;
/** What a joint without lead, a branch and a doubled lead cost while trees are compared, in nats. */
const HIDDEN_NATS = 2.5;
const BRANCH_NATS = 0.7;
const DOUBLED_NATS = 0.7;
/** What each conductor after the branch costs: it might as well lie on the branch's other side, ln 2 and a little less. */
const SIDE_NATS = 0.6;
/** What a winding so short that it hardly changes a speed costs, and what share of the longest reading that is. */
const SHORT_NATS = 1.2;
const SHORT_SHARE = 0.02;
/**
 * The most trees that are carried from one lead to the next. Measured: at seven and eight leads sixty cost half a reading
 * more on average; at fewer nothing is cut, and beyond, where motors are of several groups, time is what is short.
 */
const MOST_TREES = 60;
const MOST_TREES_OF_LARGE_GROUPS = 200;
const LARGE_GROUP: readonly number[] = [7, 8];

/** It fits one tree after another, of whatever island. */
const fit = new EdgeFit();

/**
 * All trees that the readings of an island allow, best first.
 *
 * Readings of one group are an additive tree metric (Zaretskii 1965; Buneman 1971): a full table fixes the tree. This
 * search also takes part tables: leads are added one after the other, each in every place where it can come (on a
 * conductor there is, within a winding, at the end of a new one), and of the trees so made those are kept whose edges
 * fit the readings so far, by least squares without negative ohms, nearly as well as the best one's. Every group in
 * the catalogue is a row or has one joint of three with one of them a single winding, so no other trees are tried.
 */
export function islandTrees(leads: readonly number[], evidence: Evidence): IslandTrees {
  const readings = evidence.read.flatMap(({ a, b, ohms, sigmaOhms }): TreeReading[] =>
    leads.includes(a) && leads.includes(b) ? [{ a, b, ohms, weight: 1 / sigmaOhms ** 2 }] : [],
  );
  const leastOhms = LEAST_EDGE_SHARE * readings.reduce((most, { ohms }) => Math.max(most, ohms), 0);
  const shortOhms = (leastOhms * SHORT_SHARE) / LEAST_EDGE_SHARE;
  const most = LARGE_GROUP.includes(leads.length) ? MOST_TREES_OF_LARGE_GROUPS : MOST_TREES;
  /** Each candidate is tried on this one tree: most are dropped at once, and only those kept are copied. */
  const trial = blankTree();
  let states: readonly Tree[] = [firstTree(leads[0] as number)];
  let cut = false;
  let work = 0;
  for (let k = 1; k < leads.length; k++) {
    const here = leads.slice(0, k + 1);
    const rows = readings.filter(({ a, b }) => here.includes(a) && here.includes(b));
    const grown = new Shortlist(most);
    for (const state of states) {
      eachExtension(state, leads[k] as number, trial, (tree) => {
        work += tree.edges ** 2;
        tree.cost = fit.nats(tree, rows, grown.dearest - tree.oddity) + tree.oddity;
        for (let e = 0; e < tree.edges; e++) if ((fit.ohms[e] as number) < shortOhms) tree.cost += SHORT_NATS;
        if (tree.cost <= grown.dearest && !fit.vanishes(leastOhms)) grown.offer(tree);
      });
    }
    const closed = grown.closed();
    cut ||= closed.cut;
    states = closed.trees;
  }
  return { trees: states.map(asIslandTree), cut, work };
}

/** The cheapest trees of those offered: at most so many, and none that is hopeless beside the best. */
class Shortlist {
  private trees: Tree[] = [];
  private best = Number.POSITIVE_INFINITY;
  /** What the dearest of a full list costs. */
  private worst = Number.POSITIVE_INFINITY;
  /** The cheapest that was left out for the number of trees there are. */
  private leftOut = Number.POSITIVE_INFINITY;

  constructor(private readonly most: number) {}

  /** What costs more is hopeless, in nats. */
  get dearest(): number {
    return this.best + HOPELESS_NATS;
  }

  /** Takes a copy of a tree, where there is room for it. */
  offer(tree: Tree): void {
    this.best = Math.min(this.best, tree.cost);
    if (tree.cost >= this.worst) {
      this.leftOut = Math.min(this.leftOut, tree.cost);
      return;
    }
    this.trees.push(copyOf(tree));
    if (this.trees.length >= 2 * this.most) this.shorten();
  }

  /** The list, cheapest first, and whether any that is not hopeless was left out. */
  closed(): { readonly trees: readonly Tree[]; readonly cut: boolean } {
    this.shorten();
    return {
      trees: this.trees.filter(({ cost }) => cost <= this.dearest),
      cut: this.leftOut <= this.dearest,
    };
  }

  private shorten(): void {
    const { most } = this;
    this.trees.sort((x, y) => x.cost - y.cost);
    this.leftOut = Math.min(this.leftOut, this.trees[most]?.cost ?? Number.POSITIVE_INFINITY);
    this.trees = this.trees.slice(0, most);
    this.worst = Math.min(this.worst, this.trees[most - 1]?.cost ?? Number.POSITIVE_INFINITY);
  }
}

/** A tree under construction. Edges are bits; `path` holds the edges between any two vertices. */
interface Tree {
  count: number;
  edges: number;
  readonly vertexOf: Int8Array;
  readonly from: Int8Array;
  readonly to: Int8Array;
  readonly path: Int32Array;
  hidden: number;
  branch: number;
  oddity: number;
  cost: number;
}

function firstTree(lead: number): Tree {
  const tree = blankTree();
  tree.vertexOf[lead] = 0;
  return tree;
}

function blankTree(): Tree {
  return {
    count: 1,
    edges: 0,
    vertexOf: new Int8Array(STRIDE).fill(-1),
    from: new Int8Array(STRIDE),
    to: new Int8Array(STRIDE),
    path: new Int32Array(STRIDE * STRIDE),
    hidden: -1,
    branch: -1,
    oddity: 0,
    cost: 0,
  };
}

function copyOf(tree: Tree): Tree {
  const { count, edges, vertexOf, from, to, path, hidden, branch, oddity, cost } = tree;
  return {
    count,
    edges,
    vertexOf: vertexOf.slice(),
    from: from.slice(),
    to: to.slice(),
    path: path.slice(),
    hidden,
    branch,
    oddity,
    cost,
  };
}

/** Makes the trial tree like another. */
function asTrial(trial: Tree, tree: Tree): Tree {
  trial.count = tree.count;
  trial.edges = tree.edges;
  trial.vertexOf.set(tree.vertexOf);
  trial.from.set(tree.from);
  trial.to.set(tree.to);
  trial.path.set(tree.path);
  trial.hidden = tree.hidden;
  trial.branch = tree.branch;
  trial.oddity = tree.oddity;
  trial.cost = tree.cost;
  return trial;
}

/** Visits every tree that comes of adding a lead to a tree; what is visited is the trial tree, gone with the next. */
function eachExtension(tree: Tree, lead: number, trial: Tree, visit: (candidate: Tree) => void): void {
  const offer = (candidate: Tree) => {
    if (tree.branch < 0 || hasShortLeg(candidate)) visit(candidate);
  };
  for (let v = 0; v < tree.count; v++) {
    offer(onVertex(trial, tree, v, lead));
    const degree = degreeOf(tree, v);
    if (v === tree.hidden || degree > 2 || (degree === 2 && tree.branch >= 0)) continue;
    offer(beyondVertex(trial, tree, v, lead));
  }
  for (let e = 0; e < tree.edges; e++) {
    offer(withinEdge(trial, tree, e, lead));
    if (tree.branch < 0) offer(besideEdge(trial, tree, e, lead));
  }
}

/** Whether one of the three legs at the branch is a single winding, as it is in every group of the catalogue. */
function hasShortLeg(tree: Tree): boolean {
  for (let e = 0; e < tree.edges; e++) {
    const far = tree.from[e] === tree.branch ? tree.to[e] : tree.to[e] === tree.branch ? tree.from[e] : -1;
    if (far !== undefined && far >= 0 && degreeOf(tree, far) === 1) return true;
  }
  return false;
}

function degreeOf(tree: Tree, v: number): number {
  let degree = 0;
  for (let e = 0; e < tree.edges; e++) if (tree.from[e] === v || tree.to[e] === v) degree += 1;
  return degree;
}

/** The lead is one conductor with those on a vertex, or comes out of what was a hidden joint. */
function onVertex(trial: Tree, tree: Tree, v: number, lead: number): Tree {
  const next = asTrial(trial, tree);
  next.vertexOf[lead] = v;
  if (v === tree.hidden) {
    next.hidden = -1;
    next.oddity -= HIDDEN_NATS;
  } else {
    next.oddity += DOUBLED_NATS;
  }
  return next;
}

/** A new winding from a vertex to the lead. */
function beyondVertex(trial: Tree, tree: Tree, v: number, lead: number): Tree {
  const next = asTrial(trial, tree);
  if (tree.branch >= 0) next.oddity += SIDE_NATS;
  if (degreeOf(tree, v) === 2) {
    next.branch = v;
    next.oddity += BRANCH_NATS;
  }
  next.vertexOf[lead] = hang(next, v);
  return next;
}

/** The lead comes out within a winding. */
function withinEdge(trial: Tree, tree: Tree, edge: number, lead: number): Tree {
  const next = asTrial(trial, tree);
  if (tree.branch >= 0) next.oddity += SIDE_NATS;
  next.vertexOf[lead] = split(next, edge);
  return next;
}

/** A new winding from a hidden joint within a winding to the lead. */
function besideEdge(trial: Tree, tree: Tree, edge: number, lead: number): Tree {
  const next = asTrial(trial, tree);
  const joint = split(next, edge);
  next.hidden = joint;
  next.branch = joint;
  next.oddity += HIDDEN_NATS + BRANCH_NATS;
  next.vertexOf[lead] = hang(next, joint);
  return next;
}

/** Hangs a new vertex on one there is, in place; gives the new one. */
function hang(tree: Tree, v: number): number {
  const { path } = tree;
  const w = tree.count;
  const bit = 1 << tree.edges;
  for (let u = 0; u < w; u++) {
    const mask = (path[v * STRIDE + u] as number) | bit;
    path[w * STRIDE + u] = mask;
    path[u * STRIDE + w] = mask;
  }
  tree.from[tree.edges] = v;
  tree.to[tree.edges] = w;
  tree.count += 1;
  tree.edges += 1;
  return w;
}

/** Sets a new vertex into an edge, in place: the edge keeps its first half, a new edge is the second. Gives the vertex. */
function split(tree: Tree, edge: number): number {
  const { path } = tree;
  const w = tree.count;
  const [a, b] = [tree.from[edge] as number, tree.to[edge] as number];
  const first = 1 << edge;
  const second = 1 << tree.edges;
  for (let u = 0; u < w; u++) {
    const nearA = ((path[u * STRIDE + a] as number) & first) === 0;
    const mask = nearA ? (path[u * STRIDE + a] as number) | first : (path[u * STRIDE + b] as number) | second;
    path[w * STRIDE + u] = mask;
    path[u * STRIDE + w] = mask;
  }
  for (let u = 0; u < w; u++) {
    for (let v = 0; v < w; v++) {
      const mask = path[u * STRIDE + v] as number;
      if (mask & first) path[u * STRIDE + v] = mask | second;
    }
  }
  tree.to[edge] = w;
  tree.from[tree.edges] = w;
  tree.to[tree.edges] = b;
  tree.count += 1;
  tree.edges += 1;
  return w;
}

function hangingOn(vertices: readonly (readonly number[])[], parents: readonly number[]): number[][] {
  const size: number[] = vertices.map((leads) => (leads.length > 0 ? 1 : 0));
  const hanging: number[][] = vertices.map(() => []);
  for (let v = vertices.length - 1; v > 0; v--) {
    const parent = parents[v] as number;
    size[parent] = (size[parent] as number) + (size[v] as number);
    hanging[parent]?.push(size[v] as number);
  }
  return hanging.map((sizes) => sizes.sort((a, b) => b - a));
}

/** The finished tree, vertices in an order in which each hangs on one before it. */
function asIslandTree(tree: Tree): IslandTree {
  const leadsOn: number[][] = Array.from({ length: tree.count }, () => []);
  tree.vertexOf.forEach((v, lead) => {
    if (v >= 0) leadsOn[v]?.push(lead);
  });
  const order = [0];
  const parents = [-1];
  for (const v of order) {
    const at = order.indexOf(v);
    for (let e = 0; e < tree.edges; e++) {
      const [a, b] = [tree.from[e] as number, tree.to[e] as number];
      const next = a === v ? b : b === v ? a : -1;
      if (next < 0 || order.includes(next)) continue;
      order.push(next);
      parents.push(at);
    }
  }
  const vertices = order.map((v) => leadsOn[v] as number[]);
  return {
    vertices,
    parents,
    hanging: hangingOn(vertices, parents),
    sets: vertices.map(leadSet),
    conductors: vertices.filter((leads) => leads.length > 0).length,
    branched: tree.branch >= 0,
  };
}
