// SPDX-FileCopyrightText: 2026 The Dynamet authors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "formats/text_file.h"

#include <cerrno>
#include <cstdio>
#include <cstring>
#include <fmt/format.h>
#include <memory>
#include <openssl/evp.h>
#include <sys/stat.h>
#include <unistd.h>

namespace dynamet::formats {
namespace {

Error systemError(const std::string& path) {
    return {errno == ENOENT ? Errc::notFound : Errc::io,
            fmt::format("{}: {}", path, std::strerror(errno))};
}

struct Closer {
    void operator()(std::FILE* file) const { std::fclose(file); }
};

} // namespace

Result<std::string> readTextFile(const std::string& path) {
    struct stat what {};
    if (::stat(path.c_str(), &what) != 0)
        return tl::unexpected(systemError(path));
    if (!S_ISREG(what.st_mode))
        return fail(Errc::invalidArgument,
                    fmt::format("{} is {}, not a file", path,
                                S_ISDIR(what.st_mode) ? "a folder" : "a pipe or a device"));
    const std::unique_ptr<std::FILE, Closer> file(std::fopen(path.c_str(), "rb"));
    if (!file)
        return tl::unexpected(systemError(path));
    std::string out;
    if (std::fseek(file.get(), 0, SEEK_END) == 0) {
        const long size = std::ftell(file.get());
        std::rewind(file.get());
        if (size > 0)
            out.resize(static_cast<std::size_t>(size));
    }
    out.resize(std::fread(out.data(), 1, out.size(), file.get()));
    if (std::ferror(file.get()))
        return tl::unexpected(systemError(path));
    return out;
}

std::string asUtf8(std::string bytes) {
    const bool valid = [&] {
        for (std::size_t i = 0; i < bytes.size();) {
            const auto lead = static_cast<unsigned char>(bytes[i]);
            const std::size_t more = lead < 0x80   ? 0
                                     : lead < 0xc2 ? 9
                                     : lead < 0xe0 ? 1
                                     : lead < 0xf0 ? 2
                                     : lead < 0xf5 ? 3
                                                   : 9;
            if (more == 9 || i + more >= bytes.size() + (more == 0))
                return false;
            for (std::size_t k = 1; k <= more; ++k)
                if ((static_cast<unsigned char>(bytes[i + k]) & 0xc0) != 0x80)
                    return false;
            i += more + 1;
        }
        return true;
    }();
    if (valid)
        return bytes;
    std::string out;
    for (const char c : bytes) {
        const auto byte = static_cast<unsigned char>(c);
        if (byte < 0x80) {
            out += c;
        } else {
            out += static_cast<char>(0xc0 | byte >> 6);
            out += static_cast<char>(0x80 | (byte & 0x3f));
        }
    }
    return out;
}

Result<void> writeTextFile(const std::string& path, const std::string& text) {
    const std::string part = path + ".part";
    {
        const std::unique_ptr<std::FILE, Closer> file(std::fopen(part.c_str(), "wb"));
        if (!file)
            return tl::unexpected(systemError(path));
        if (std::fwrite(text.data(), 1, text.size(), file.get()) != text.size() ||
            std::fflush(file.get()) != 0) {
            const Error error = systemError(path);
            std::remove(part.c_str());
            return tl::unexpected(error);
        }
        fsync(fileno(file.get()));
    }
    if (std::rename(part.c_str(), path.c_str()) != 0)
        return tl::unexpected(systemError(path));
    return {};
}

std::string sha256(const std::string& text) {
    unsigned char digest[EVP_MAX_MD_SIZE];
    unsigned int length = 0;
    EVP_Digest(text.data(), text.size(), digest, &length, EVP_sha256(), nullptr);
    std::string out;
    for (unsigned int i = 0; i < length; ++i)
        out += fmt::format("{:02x}", digest[i]);
    return out;
}

} // namespace dynamet::formats
