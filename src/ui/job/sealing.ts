/** What seals a record, brought when it is signed. */
export { sealOf } from "@/core";
