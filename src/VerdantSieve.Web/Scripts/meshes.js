// Through the meshes: tells about the grain or the mesh that is pointed at or stepped to. Everything told stands in words below as well.
(() => {
  const frame = document.querySelector("[data-course]");
  if (!frame) return;
  const told = document.getElementById("told");
  const grains = JSON.parse(document.getElementById("grains").textContent);
  let at = -1;

  function tell(element, write) {
    frame.querySelectorAll(".told").forEach((other) => other.classList.remove("told"));
    element.classList.add("told");
    told.replaceChildren();
    write();
  }

  function tellGrain(number) {
    at = number;
    const { name, common, story } = grains[number];
    tell(frame.querySelector(`[data-grain="${number}"]`), () => {
      const latin = document.createElement("i");
      latin.className = "latin";
      latin.textContent = name;
      told.append(latin, ` (${common}): ${story}`);
    });
  }

  frame.addEventListener("pointerover", (event) => {
    const grain = event.target.closest("[data-grain]");
    const mesh = event.target.closest("[data-mesh]");
    if (grain) tellGrain(+grain.dataset.grain);
    else if (mesh) tell(mesh, () => told.append(document.querySelector(`[data-mesh-story="${mesh.dataset.mesh}"]`).textContent));
  });

  frame.addEventListener("keydown", (event) => {
    const step = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 10, ArrowUp: -10 }[event.key];
    if (step) tellGrain(Math.min(grains.length - 1, Math.max(0, at < 0 ? 0 : at + step)));
    else if (event.key === "Home") tellGrain(0);
    else if (event.key === "End") tellGrain(grains.length - 1);
    else if (event.key === "Enter" && at >= 0) location.href = location.pathname.replace(/meshes$/, "").replace(/\/$/, "") + `?taxon=${grains[at].slug}`;
    else return;
    event.preventDefault();
  });
})();
