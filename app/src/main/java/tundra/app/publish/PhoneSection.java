package tundra.app.publish;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.io.IOException;
import java.net.InetAddress;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelWriter;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.VBox;
import tundra.app.job.Notices;
import tundra.app.widget.Words;
import tundra.web.Page;
import tundra.web.PhoneServer;

/** The page on a real phone: off until it is switched on, at an address with a secret in it, until the window closes. */
final class PhoneSection extends VBox {
    private static final int SIDE = 168;
    private final Notices notices;
    private final ImageView code = new ImageView();
    private final Label words = new Label();
    private final ToggleButton on = new ToggleButton("Share on the network");
    private PhoneServer server;
    private Page page;

    PhoneSection(Notices notices) {
        super(7);
        this.notices = notices;
        setId("phone");
        on.setId("phone-share");
        on.setMaxWidth(Double.MAX_VALUE);
        on.setOnAction(e -> {
            if (on.isSelected()) {
                start();
            } else {
                stop();
            }
        });
        words.setId("phone-words");
        words.getStyleClass().addAll("quiet", "small");
        words.setWrapText(true);
        code.setId("phone-code");
        code.managedProperty().bind(code.visibleProperty());
        code.setVisible(false);
        getChildren().addAll(Words.section("On a real phone"), words, code, on);
        shown();
    }

    private void shown() {
        words.setText(server == null ? "A phone in the same network shows the page and follows what you change. Off until you switch it on."
                : server.url());
        code.setVisible(server != null);
        on.setSelected(server != null);
        on.setText(server == null ? "Share on the network" : "Stop sharing");
    }

    private void start() {
        try {
            InetAddress at = PhoneServer.local();
            if (at == null) {
                notices.problem("This machine is in no local network, so no phone could reach it. Nothing was shared.");
            } else {
                server = new PhoneServer(at);
                if (page != null) {
                    server.serve(page);
                }
                code.setImage(picture(server.url()));
            }
        } catch (IOException | WriterException e) {
            notices.problem("The page can't be shared: " + e.getMessage() + ". Nothing is shared.");
        }
        shown();
    }

    /** Nothing is shared any more. */
    void stop() {
        if (server != null) {
            server.close();
            server = null;
        }
        shown();
    }

    /** Another version of the page, which phones that show it load. */
    void serve(Page p) {
        page = p;
        if (server != null) {
            server.serve(p);
        }
    }

    /** An address as a QR code (ISO/IEC 18004). */
    static WritableImage picture(String address) throws WriterException {
        BitMatrix bits = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, SIDE, SIDE, Map.of(EncodeHintType.MARGIN, 2));
        var out = new WritableImage(bits.getWidth(), bits.getHeight());
        PixelWriter to = out.getPixelWriter();
        for (int y = 0; y < bits.getHeight(); y++) {
            for (int x = 0; x < bits.getWidth(); x++) {
                to.setArgb(x, y, bits.get(x, y) ? 0xFF1B2A28 : 0xFFFFFFFF);
            }
        }
        return out;
    }
}
