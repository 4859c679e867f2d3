// Shows how far pictures have been sent; without it the form is sent as any other.
document.querySelector("form.sending")?.addEventListener("submit", (event) => {
  const form = event.target, bar = form.querySelector("progress"), button = form.querySelector("button");
  event.preventDefault();
  const request = new XMLHttpRequest();
  const over = () => { bar.hidden = true; button.disabled = false; };
  request.upload.addEventListener("progress", ({ loaded, total }) => { bar.value = (100 * loaded) / total; });
  // The answer is the page itself, perhaps with what was wrong.
  request.addEventListener("load", () => {
    over();
    const answer = new DOMParser().parseFromString(request.responseText, "text/html").querySelector("main");
    if (!answer) { form.submit(); return; }
    document.querySelector("main").replaceWith(answer);
    history.replaceState(null, "", request.responseURL);
    (answer.querySelector("[role=alert], [role=status]") ?? answer.querySelector("h1")).scrollIntoView({ block: "center" });
  });
  request.addEventListener("error", () => { over(); form.submit(); });
  bar.hidden = false;
  button.disabled = true;
  request.open("POST", form.action);
  request.send(new FormData(form));
});
