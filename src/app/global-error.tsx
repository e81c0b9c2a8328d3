"use client";

/** The last resort, where not even the frame of the page stands: plain, and nothing entered is lost. */
export default function FailedAltogether({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body style={{ fontFamily: "sans-serif", maxWidth: 640, margin: "40px auto", padding: "0 16px" }}>
        <h1>The application made a mistake</h1>
        <p>Nothing you entered is lost: every entry was kept before this happened.</p>
        <p>
          <button type="button" onClick={reset}>
            Try again
          </button>
        </p>
      </body>
    </html>
  );
}
