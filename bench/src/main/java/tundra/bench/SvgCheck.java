package tundra.bench;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.imageio.ImageIO;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.chrome.ChromeDriver;
import tundra.core.frame.FrameBuilder;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.svg.ArtPlacing;
import tundra.core.svg.SvgArt;
import tundra.core.svg.SvgReader;
import tundra.core.svg.SvgWriter;
import tundra.render.Fonts;
import tundra.render.PictureReader;
import tundra.render.Still;

/**
 * Reads every n-th drawing of a folder and compares Tundra's picture of it with Chromium's own at 400 px; then writes it as SVG
 * again and compares Chromium's picture of that. Arguments: folder, count, and a folder for the pictures of the worst.
 */
public final class SvgCheck {
    private static final int WIDTH = 400;
    private static final int SECONDS = 10;

    private static int unnamed;

    private SvgCheck() {}

    public static void main(String[] args) throws Exception {
        List<Path> all;
        try (var walk = Files.walk(Path.of(args[0]))) {
            all = walk.filter(p -> p.toString().endsWith(".svg")).sorted().toList();
        }
        int count = Integer.parseInt(args[1]);
        Path worst = args.length > 2 ? Files.createDirectories(Path.of(args[2])) : null;
        var seen = new ArrayList<Double>();
        var round = new ArrayList<Double>();
        int failed = 0, lossy = 0;
        ChromeDriver driver = Chromium.start();
        try (var worker = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().factory())) {
            for (int i = 0; i < count; i++) {
                Path file = all.get((int) ((long) i * all.size() / count));
                try {
                    byte[] data = Files.readAllBytes(file);
                    long start = System.nanoTime();
                    SvgArt art = worker.submit(() -> SvgReader.read(file.getFileName().toString(), data, Fonts.BUNDLED, PictureReader::read))
                            .get(SECONDS, TimeUnit.SECONDS);
                    long ms = (System.nanoTime() - start) / 1_000_000;
                    int h = (int) Math.max(1, Math.min(2000, Math.round(WIDTH * art.size().y() / art.size().x())));
                    Project p = ArtPlacing.project(art, "check", 24);
                    p = p.mapBoard(p.scenes().getFirst().id(),
                            b -> b.withCanvas(b.canvas().with(Properties.BACKGROUND, tundra.core.model.Color.WHITE)));
                    var frame = new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED).at(0);
                    BufferedImage ours = image(Still.png(p, frame, WIDTH, h)), theirs = browser(driver, shown(file, data).toUri().toString(), h);
                    double db = psnr(ours, theirs);
                    seen.add(db);
                    lossy += art.report().isEmpty() ? 0 : 1;
                    Path again = Files.createTempFile("tundra", ".svg");
                    Files.writeString(again, SvgWriter.write(p, frame, Fonts.BUNDLED));
                    double back = psnr(ours, browser(driver, again.toUri().toString(), h));
                    Files.delete(again);
                    round.add(back);
                    if (db < 28 || back < 35 || ms > 3000) {
                        System.out.printf(Locale.ROOT, "%5.1f dB  back %5.1f dB  %5d ms  %s  %s%n", db, back, ms, file, art.report());
                        if (worst != null) {
                            var both = new BufferedImage(2 * WIDTH, h, BufferedImage.TYPE_INT_RGB);
                            both.getGraphics().drawImage(ours, 0, 0, null);
                            both.getGraphics().drawImage(theirs, WIDTH, 0, null);
                            ImageIO.write(both, "png", worst.resolve(file.getFileName() + ".png").toFile());
                        }
                    }
                } catch (TimeoutException e) {
                    failed++;
                    System.out.println("longer than " + SECONDS + " s: " + file);
                } catch (Exception e) {
                    failed++;
                    Throwable cause = e.getCause() == null ? e : e.getCause();
                    System.out.println("failed: " + file + ": " + cause);
                }
            }
        } finally {
            driver.quit();
        }
        long good = seen.stream().filter(d -> d >= 28).count(), back = round.stream().filter(d -> d >= 35).count();
        System.out.printf(Locale.ROOT, "%d files: %d come in at 28 dB or more (%.1f %%), %d failed, %d with a report, median %.1f dB%n", count, good,
                100.0 * good / count, failed, lossy, median(seen));
        System.out.println(unnamed + " of them don't name the SVG namespace; the browser was given a copy that does");
        System.out.printf(Locale.ROOT, "written again: %d of %d at 35 dB or more, median %.1f dB%n", back, round.size(), median(round));
        System.exit(0);
    }

    /** The browser shows nothing of a drawing that doesn't name its namespace: then a copy that does. */
    private static Path shown(Path file, byte[] data) throws IOException {
        String text = new String(data, StandardCharsets.UTF_8);
        if (text.contains("http://www.w3.org/2000/svg")) {
            return file;
        }
        unnamed++;
        Path copy = Files.createTempFile("tundra", ".svg");
        Files.writeString(copy, text.replaceFirst("<svg", "<svg xmlns=\"http://www.w3.org/2000/svg\""));
        return copy;
    }

    private static double median(List<Double> v) {
        double[] s = v.stream().mapToDouble(x -> x).toArray();
        Arrays.sort(s);
        return s.length == 0 ? Double.NaN : s[s.length / 2];
    }

    private static BufferedImage image(byte[] png) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    private static BufferedImage browser(ChromeDriver driver, String address, int h) throws IOException {
        Path page = Files.createTempFile("tundra", ".html");
        Files.writeString(page, "<!doctype html><style>body{margin:0;background:#fff}img{display:block;width:" + WIDTH + "px;height:" + h
                + "px}</style><img src=\"" + address.replace("\"", "%22") + "\">");
        driver.executeCdpCommand("Emulation.setDeviceMetricsOverride", Map.of("width", WIDTH, "height", h, "deviceScaleFactor", 1, "mobile", false));
        driver.get(page.toUri().toString());
        BufferedImage out = image(driver.getScreenshotAs(OutputType.BYTES));
        Files.delete(page);
        return out;
    }

    /** Of the three channels over white; 99 for the same picture. */
    private static double psnr(BufferedImage a, BufferedImage b) {
        var white = new BufferedImage(a.getWidth(), a.getHeight(), BufferedImage.TYPE_INT_RGB);
        white.createGraphics().drawImage(a, 0, 0, Color.WHITE, null);
        int w = Math.min(white.getWidth(), b.getWidth()), h = Math.min(white.getHeight(), b.getHeight());
        double sum = 0;
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int p = white.getRGB(x, y), q = b.getRGB(x, y);
                for (int s = 0; s < 24; s += 8) {
                    double d = (p >> s & 255) - (q >> s & 255);
                    sum += d * d;
                }
            }
        }
        return sum == 0 ? 99 : 10 * Math.log10(255.0 * 255 * 3 * w * h / sum);
    }
}
