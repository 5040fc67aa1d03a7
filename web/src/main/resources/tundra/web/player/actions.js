//# reactions
// Leaves for an address as a link would, so that a page around the piece can still decide otherwise.
const leave = (piece, href, tab) => {
  const a = Object.assign(document.createElement("a"), { href, target: tab ? "_blank" : "", rel: "noopener" });
  piece.el.append(a);
  a.click();
  a.remove();
};

// The outermost box of an element.
const outer = (board, name) => board.part(name + "-v") ?? board.part(name);

// One entry for each kind of action: what it does. A number that comes back is how long the next one waits, in ms; a function is told how to go on; false ends the reaction.
const ACTIONS = {
//# action play
  play: (board, { timeline }) => board.players(timeline).forEach((t) => t.play()),
//# action pause
  pause: (board, { timeline }) => board.players(timeline).forEach((t) => t.pause()),
//# action toggle
  toggle: (board, { timeline }) => {
    const all = board.players(timeline), on = all.some((t) => t.playing);
    for (const t of all) on ? t.pause() : t.toggle();
  },
//# action playFromStart
  playFromStart: (board, { timeline }) => board.players(timeline).forEach((t) => t.playFromStart()),
//# action playFrom
  playFrom: (board, { timeline, time }) => board.timeline(timeline).playFrom(time),
//# action playFromTime
  playFromTime: (board, { timeline, time }) => board.players(timeline).forEach((t) => (t.playFrom ? t.playFrom(time) : (t.goTo(time), t.play()))),
//# action playTo
  playTo: (board, { timeline, time }) => board.timeline(timeline).playTo(time),
//# action playBack
  playBack: (board, { timeline }) => board.players(timeline).forEach((t) => t.playBack()),
//# action goTo
  goTo: (board, { timeline, time }) => board.players(timeline).forEach((t) => t.goTo(time)),
//# action setSpeed
  setSpeed: (board, { timeline, speed }) => board.players(timeline).forEach((t) => t.setSpeed(speed)),
//# action show
  show: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = false)),
//# action hide
  hide: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = true)),
//# action toggleShown
  toggleShown: (board, { elements }) => elements.forEach((x) => (outer(board, x).hidden = !outer(board, x).hidden)),
//# action set
  set: (board, { to }) => board.set(to),
//# action changeBy
  changeBy: (board, { to }) => board.set(to, true),
//# action toFront
  toFront: (board, { elements }) => elements.forEach((x) => (outer(board, x).style.zIndex = ++board.front)),
//# action toBack
  toBack: (board, { elements }) => elements.forEach((x) => (outer(board, x).style.zIndex = --board.back)),
//# action sendHome
  sendHome: (board, { elements, over }) => (elements[0] === "*" ? [...board.parts.values()] : elements.map((x) => board.draggable(x))).forEach((d) => d?.home(over)),
//# action openScene
  openScene: (board, { scene, transition }) => board.piece.open(scene, transition),
//# action nextScene
  nextScene: (board, { transition }) => board.piece.step(1, transition),
//# action previousScene
  previousScene: (board, { transition }) => board.piece.step(-1, transition),
//# action back
  back: (board) => board.piece.back(),
//# action openLink
  openLink: (board, { address, tab }) => leave(board.piece, address, tab === "a new tab"),
//# action call
  call: (board, { number }) => leave(board.piece, "tel:" + number.replace(/[^+0-9]/g, "")),
//# action writeMail
  writeMail: (board, { mail }) => leave(board.piece, "mailto:" + mail),
//# action playSound
  playSound: (board, { sound }) => board.piece.sound(sound).play().catch(() => tell("the browser keeps sounds silent until the visitor taps or types")),
//# action playSoundFromStart
  playSoundFromStart: (board, { sound }) => {
    const s = board.piece.sound(sound);
    s.currentTime = 0;
    s.play().catch(() => tell("the browser keeps sounds silent until the visitor taps or types"));
  },
//# action pauseSound
  pauseSound: (board, { sound }) => board.piece.sound(sound).pause(),
//# action toggleSound
  toggleSound: (board, { sound }) => {
    const s = board.piece.sound(sound);
    s.paused ? s.play().catch(() => 0) : s.pause();
  },
//# action stopSound
  stopSound: (board, { sound }) => {
    const s = board.piece.sound(sound);
    s.pause();
    s.currentTime = 0;
  },
//# action setVolume
  setVolume: (board, { sound, volume }) => (board.piece.sound(sound).volume = volume / 100) && undefined,
//# action setValue
  setValue: (board, { value, content }) => board.piece.put(value, content),
//# action addValue
  addValue: (board, { value, amount }) => board.piece.put(value, +board.piece.value(value) + amount),
//# action toggleValue
  toggleValue: (board, { value }) => board.piece.put(value, !board.piece.value(value)),
//# action randomValue
  randomValue: (board, { value, from, to }) => {
    const whole = Number.isInteger(from) && Number.isInteger(to), r = Math.random();
    board.piece.put(value, whole ? from + Math.floor(r * (to - from + 1)) : from + r * (to - from));
  },
//# action putText
  putText: (board, { value, into }) => {
    const [line, ...rest] = board.part(into).querySelectorAll("text > tspan");
    line.textContent = said(board.piece.value(value));
    for (const x of rest) x.textContent = "";
    (board.worded ??= new Map()).set(into, line.textContent);
  },
//# action run
  run: (board, { script }) => board.piece.script(script, board.here),
//# action say
  say: (board, { text }) => board.piece.say(text),
//# action copyText
  copyText: (board, { text }) => {
    const by = () => {
      const area = Object.assign(document.createElement("textarea"), { value: text });
      board.piece.el.append(area);
      area.select();
      document.execCommand("copy");
      area.remove();
    };
    navigator.clipboard ? navigator.clipboard.writeText(text).catch(by) : by();
  },
//# action showItem
  showItem: (board, { gallery, item }) => board.block(gallery)?.to(item - 1),
//# action nextItem
  nextItem: (board, { gallery }) => board.block(gallery)?.leaf(1),
//# action previousItem
  previousItem: (board, { gallery }) => board.block(gallery)?.leaf(-1),
//# action turnOnce
  turnOnce: (board, { gallery, way, duration }) => board.block(gallery)?.turn(duration, way),
//# action playGallery
  playGallery: (board, { gallery }) => board.block(gallery)?.play(true),
//# action pauseGallery
  pauseGallery: (board, { gallery }) => board.block(gallery)?.play(false),
//# action playMedia
  playMedia: (board, { media }) => board.block(media)?.play(),
//# action pauseMedia
  pauseMedia: (board, { media }) => board.block(media)?.el.pause(),
//# action toggleMedia
  toggleMedia: (board, { media }) => board.block(media)?.toggle(),
//# action seekMedia
  seekMedia: (board, { media, at }) => board.block(media)?.seek(at),
//# action mediaVolume
  mediaVolume: (board, { media, volume }) => void (board.block(media) && (board.block(media).el.volume = volume / 100)),
//# action muteMedia
  muteMedia: (board, { media, muted }) => void (board.block(media) && (board.block(media).el.muted = muted === "silent")),
//# action goToPlace
  goToPlace: (board, { map, spot }) => board.block(map)?.goTo(spot),
//# action zoomMap
  zoomMap: (board, { map, closer }) => board.block(map)?.zoomBy(closer === "in" ? 1 : -1),
//# action send
  send: (board, { elements, address }) => {
    const fields = elements.flatMap((x) => board.scene.within(board.part(x))).filter((b) => b.inputs), bad = fields.filter((b) => !b.valid());
    if (bad.length) {
      bad[0].inputs[0].focus();
      tell("not sent: " + bad.length + (bad.length > 1 ? " fields are" : " field is") + " not filled in as asked");
      return false;
    }
    const what = new URLSearchParams(fields.map((b) => [b.data.name, said(b.value)])), arrived = (good) => (board.piece.arrived ?? []).forEach((f) => f(good));
    tell("sends to " + address + ": " + [...what].map(([k, v]) => k + " = " + v).join(", "));
    return (go) =>
      fetch(board.piece.file(address), { method: "POST", body: what }).then((r) => r.ok || Promise.reject()).then(() => (tell("it has arrived"), arrived(true), go()), () => (tell("it could not be sent"), arrived(false)));
  },
//# action waitUntil
  waitUntil: (board, { awaited }) => {
    if (!awaited.early) return (go) => (awaited.go = go);
    awaited.early = false;
  },
//# action wait
  wait: (board, { duration }) => duration,
//# action stop
  stop: () => false,
//# reactions
};
