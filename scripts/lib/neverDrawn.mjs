/** Stands in the pages' scripts for what no page draws; see fewScripts.ts. */
export default function NeverDrawn() {
  return null;
}
