package org.goldthistle.platform;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonSerializer;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import org.goldthistle.core.Coded;
import org.springframework.stereotype.Component;

/** Writes closed choices as their codes. */
@Component
class CodedJson extends SimpleModule {
    private static final long serialVersionUID = 1L;

    CodedJson() {
        super("codes");
        addSerializer(Coded.class, new JsonSerializer<>() {
            @Override
            public void serialize(Coded one, JsonGenerator to, SerializerProvider all) throws IOException {
                to.writeString(one.code());
            }
        });
    }
}
