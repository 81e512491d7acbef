package app.velvetcrock.label;

import app.velvetcrock.core.label.Code;
import app.velvetcrock.door.OwnAddress;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.util.BitSet;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The squares a telephone reads: the address of a label, or its bare code where nobody but this machine reaches the application. */
@Component
class Codes {

    private final OwnAddress address;

    Codes(OwnAddress address) {
        this.address = address;
    }

    String says(String code) {
        return address.isThisMachine() ? code : address.of("/q/" + code);
    }

    Code of(String code) {
        try {
            // A label is handled with oily fingers: about a seventh of it may be unreadable.
            ByteMatrix matrix = Encoder.encode(
                            says(code), ErrorCorrectionLevel.M, Map.of(EncodeHintType.CHARACTER_SET, "UTF-8"))
                    .getMatrix();
            BitSet dark = new BitSet();
            for (int row = 0; row < matrix.getHeight(); row++) {
                for (int column = 0; column < matrix.getWidth(); column++) {
                    dark.set(row * matrix.getWidth() + column, matrix.get(column, row) == 1);
                }
            }
            return new Code(matrix.getWidth(), dark);
        } catch (WriterException tooLong) {
            throw new IllegalStateException("CROCK_ADDRESS is too long for a code", tooLong);
        }
    }
}
