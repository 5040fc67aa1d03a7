import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Image;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Lays pictures side by side into one: OUT COLUMNS WIDTH PICTURE…, each scaled to WIDTH px. */
public final class ContactSheet {
    private static final int GAP = 12;

    public static void main(String[] args) throws IOException {
        int columns = Integer.parseInt(args[1]), width = Integer.parseInt(args[2]), shots = args.length - 3;
        var scaled = new BufferedImage[shots];
        int[] heights = new int[(shots + columns - 1) / columns];
        for (int i = 0; i < shots; i++) {
            BufferedImage shot = ImageIO.read(new File(args[3 + i]));
            int height = Math.round(shot.getHeight() * (float) width / shot.getWidth());
            scaled[i] = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
            scaled[i].getGraphics().drawImage(shot.getScaledInstance(width, height, Image.SCALE_AREA_AVERAGING), 0, 0, null);
            heights[i / columns] = Math.max(heights[i / columns], height);
        }
        int total = GAP;
        for (int h : heights) {
            total += h + GAP;
        }
        var sheet = new BufferedImage(GAP + columns * (width + GAP), total, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = sheet.createGraphics();
        g.setColor(new Color(0x0D1214));
        g.fillRect(0, 0, sheet.getWidth(), sheet.getHeight());
        for (int i = 0, y = GAP; i < shots; i++) {
            g.drawImage(scaled[i], GAP + i % columns * (width + GAP), y, null);
            y += i % columns == columns - 1 ? heights[i / columns] + GAP : 0;
        }
        ImageIO.write(sheet, "png", new File(args[0]));
    }
}
