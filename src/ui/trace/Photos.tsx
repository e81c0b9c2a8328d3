"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useRef, useState } from "react";
import { v7 as uuid, v4 } from "uuid";
import { useJob } from "../job/JobContext";
import { TOUCH } from "../theme/theme";
import { PhotoView } from "./PhotoView";
import { dropPhoto, keepPhoto, waitingPhotos } from "./photoOutbox";
import { sendPhoto } from "./sendPhoto";

interface Sending {
  readonly id: string;
  readonly file: File;
  readonly abort: AbortController;
  /** Why it did not arrive; it is kept here to be sent again. */
  readonly fault: string | null;
}

const WAITS = "The photo is kept in this browser until it is sent.";
const WAITS_HERE = "This browser keeps nothing: leave the page open until it is sent.";

/** Photos of the compartment, from the camera or a file, with pins on them. */
export function Photos() {
  const { id: jobId, job, add } = useJob();
  const [sending, setSending] = useState<readonly Sending[]>([]);
  const input = useRef<HTMLInputElement>(null);
  const gone = useCallback((id: string) => {
    void dropPhoto(id);
    setSending((all) => all.filter((one) => one.id !== id));
  }, []);
  const send = useCallback(
    async (file: File, id: string) => {
      const put = (one: Sending) => setSending((all) => [...all.filter((other) => other.id !== one.id), one]);
      const abort = new AbortController();
      put({ id, file, abort, fault: null });
      const kept = await keepPhoto(jobId, { id, file });
      const sent = await sendPhoto(jobId, id, file, abort.signal);
      if (sent.ok) {
        add({ kind: "photo", photo: { id, caption: "", widthPx: sent.widthPx, heightPx: sent.heightPx } });
        gone(id);
      } else if (abort.signal.aborted) gone(id);
      else if (sent.later) put({ id, file, abort, fault: `${sent.says} ${kept ? WAITS : WAITS_HERE}` });
      else {
        // What the server refuses is not sent again by itself; it stays on the page for a person to decide.
        void dropPhoto(id);
        put({ id, file, abort, fault: sent.says });
      }
    },
    [jobId, add, gone],
  );
  useEffect(() => {
    const sendWaiting = async () => {
      for (const { id, file } of await waitingPhotos(jobId)) void send(file, id);
    };
    void sendWaiting();
    window.addEventListener("online", sendWaiting);
    return () => window.removeEventListener("online", sendWaiting);
  }, [jobId, send]);
  return (
    <Box component="section" aria-label="Photos" sx={{ minWidth: 0 }}>
      <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
        <Typography variant="h2" sx={{ mr: "auto" }}>
          The compartment as it was found
        </Typography>
        <Button variant="contained" sx={{ minHeight: TOUCH }} onClick={() => input.current?.click()}>
          Add a photo
        </Button>
        <Box
          component="input"
          ref={input}
          type="file"
          accept="image/*"
          multiple
          aria-label="Photo of the compartment"
          tabIndex={-1}
          sx={{ position: "absolute", width: "1px", height: "1px", opacity: 0, pointerEvents: "none" }}
          onChange={(event) => {
            for (const file of event.target.files ?? []) void send(file, v4());
            event.target.value = "";
          }}
        />
      </Box>
      {sending.map((one) => (
        <Box
          key={one.id}
          role={one.fault ? "alert" : "status"}
          sx={{
            borderLeft: "4px solid",
            borderColor: one.fault ? "warning.main" : "primary.main",
            pl: 3,
            py: 1,
            mb: 2,
            display: "flex",
            gap: 3,
            alignItems: "center",
            flexWrap: "wrap",
          }}
        >
          <span>{one.fault ? `${one.file.name}: ${one.fault}` : `Sending ${one.file.name} …`}</span>
          {one.fault ? (
            <>
              <Button size="small" onClick={() => void send(one.file, one.id)}>
                Send again
              </Button>
              <Button size="small" color="inherit" onClick={() => gone(one.id)}>
                Leave it
              </Button>
            </>
          ) : (
            <Button size="small" color="inherit" onClick={() => one.abort.abort()}>
              Cancel
            </Button>
          )}
        </Box>
      ))}
      {job.photos.length === 0 && sending.length === 0 ? (
        <Typography sx={{ color: "text.secondary", maxWidth: 520 }}>
          No photo yet. Photograph the compartment before anything is loosened: the whole, then each end.
          Touch a photo to pin a note on a terminal.
        </Typography>
      ) : null}
      <Box sx={{ display: "grid", gap: 5 }}>
        {job.photos.map((photo, i) => (
          <PhotoView key={photo.id} photo={photo} number={i + 1} newPinId={uuid} />
        ))}
      </Box>
    </Box>
  );
}
