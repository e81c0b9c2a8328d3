"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useRef } from "react";
import { v7 as uuid, v4 } from "uuid";
import { useJob, useSaving } from "../job/JobContext";
import { TOUCH } from "../theme/measures";
import { PhotoOnWay } from "./PhotoOnWay";
import { PhotoView } from "./PhotoView";

/** Photos of the compartment, from the camera or a file, with pins on them. */
export function Photos() {
  const { job } = useJob("photos");
  const { photosOnWay, addPhoto } = useSaving();
  const input = useRef<HTMLInputElement>(null);
  const take = async (file: File) => {
    const { name, type } = file;
    await addPhoto({ id: v4(), name, type, bytes: await file.arrayBuffer() });
  };
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
            for (const file of event.target.files ?? []) void take(file);
            event.target.value = "";
          }}
        />
      </Box>
      {photosOnWay.map((photo) => (
        <PhotoOnWay key={photo.id} photo={photo} />
      ))}
      {job.photos.length === 0 && photosOnWay.length === 0 ? (
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
