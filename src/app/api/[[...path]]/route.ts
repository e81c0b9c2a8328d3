import { Problem } from "@/server/problem";

/** What no route has is answered in the form of all other refusals. */
function nothing(): Response {
  return new Problem(404, "There is nothing at this address; see /api/v1/openapi.json.").response();
}

export {
  nothing as DELETE,
  nothing as GET,
  nothing as HEAD,
  nothing as OPTIONS,
  nothing as PATCH,
  nothing as POST,
  nothing as PUT,
};
