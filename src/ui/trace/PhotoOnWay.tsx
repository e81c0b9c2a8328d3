"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import type { PhotoRow } from "@/store/shelf";
import { useSaving } from "../job/JobContext";

const WAITS = "It is kept in this browser and sent when the server is back.";
const WAITS_HERE = "This browser keeps nothing: leave the page open until it is sent.";

/** A photo that the server has not got: the picture, how it stands, and what can be done. */
export function PhotoOnWay({ photo }: { photo: PhotoRow }) {
  const { saving, addPhoto, dropPhoto } = useSaving();
  const { id, name, type, bytes, says } = photo;
  const waits = says === undefined && saving.away;
  const words = says ?? (waits ? `The server does not answer. ${saving.lasting ? WAITS : WAITS_HERE}` : null);
  return (
    <Box
      role={words ? "alert" : "status"}
      sx={{
        borderLeft: "4px solid",
        borderColor: words ? "warning.main" : "primary.main",
        pl: 3,
        py: 1,
        mb: 2,
        display: "flex",
        gap: 3,
        alignItems: "center",
        flexWrap: "wrap",
      }}
    >
      {says === undefined ? <Picture photo={photo} /> : null}
      <span>{words ? `${name}: ${words}` : `Sending ${name} …`}</span>
      {says === undefined ? null : (
        <Button size="small" onClick={() => void addPhoto({ id, name, type, bytes })}>
          Send again
        </Button>
      )}
      <Button size="small" color="inherit" onClick={() => void dropPhoto(id)}>
        {words ? "Leave it" : "Cancel"}
      </Button>
    </Box>
  );
}

/** The picture from the bytes that are kept here. */
function Picture({ photo: { name, type, bytes } }: { photo: PhotoRow }) {
  const [address, setAddress] = useState("");
  // The store reads them anew with every entry; they never change.
  const [kept] = useState(bytes);
  useEffect(() => {
    const made = URL.createObjectURL(new Blob([kept], { type }));
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [kept, type]);
  return address === "" ? null : (
    <Box
      component="img"
      src={address}
      alt={`${name}, as it was taken`}
      sx={{ height: 96, maxWidth: "100%", border: "1px solid", borderColor: "divider" }}
    />
  );
}
