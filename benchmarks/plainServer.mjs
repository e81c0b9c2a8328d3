/** A server that reads what is sent and finds nothing; tells its port to who forked it. */
import { createServer } from "node:http";

const server = createServer((request, response) => {
  request.resume();
  request.on("end", () => {
    response.statusCode = 404;
    response.end("{}");
  });
});
server.listen(0, "127.0.0.1", () => process.send?.(server.address().port));
