import { createHmac } from "node:crypto";
import { query } from "./databases.mjs";

/** The role that the application connects as. It owns nothing: it may neither drop nor truncate nor alter. */
const ROLE = "odd_lead_app";
/** Any number, the same for every start that grants. */
const GRANTING_LOCK = 5_203_116;

/**
 * The URL under which the application uses a prepared database of our own cluster, as a role that may read and write rows
 * alone, and of facts only add and read. Its password follows from the owner's, so that starts at once agree.
 *
 * @param ownerUrl the database as its owner.
 */
export async function applicationUrl(ownerUrl) {
  const { password } = new URL(applicationAddress(ownerUrl));
  await query(
    ownerUrl,
    `select pg_advisory_lock(${GRANTING_LOCK})`,
    `do $$ begin
       if not exists (select from pg_roles where rolname = '${ROLE}') then create role ${ROLE}; end if;
     end $$`,
    `alter role ${ROLE} with login nosuperuser nocreatedb nocreaterole noreplication password '${password}'`,
    "revoke create on schema public from public",
    `grant usage on schema public to ${ROLE}`,
    `grant select, insert, update, delete on all tables in schema public to ${ROLE}`,
    `grant usage, select on all sequences in schema public to ${ROLE}`,
    `revoke update, delete on facts from ${ROLE}`,
  );
  return applicationAddress(ownerUrl);
}

/** The same URL, without making sure that it opens anything yet. */
export function applicationAddress(ownerUrl) {
  const owner = new URL(ownerUrl);
  const password = createHmac("sha256", owner.password).update(ROLE).digest("hex");
  return Object.assign(owner, { username: ROLE, password }).toString();
}
